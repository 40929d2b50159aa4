import type { Project } from '@fellside/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A project as it was at one revision; the newest are kept. */
@Entity('project_versions')
export class VersionEntity {
  @PrimaryColumn('text')
  projectId: string;

  @PrimaryColumn('integer')
  revision: number;

  @Column('simple-json')
  document: Project;

  @Column('text')
  savedAt: string;
}
