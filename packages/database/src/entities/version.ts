import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A project as it was at one revision; the newest are kept. */
@Entity('project_versions')
export class VersionEntity {
  @PrimaryColumn('text')
  projectId: string;

  @PrimaryColumn('integer')
  revision: number;

  @Column('text')
  document: string;

  @Column('text')
  savedAt: string;
}
