import type { History, Project } from '@fellside/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A project as last saved. `revision` rises by one with every save. */
@Entity('projects')
export class ProjectEntity {
  @PrimaryColumn('text')
  id: string;

  @Column('integer')
  revision: number;

  @Column('simple-json')
  document: Project;

  @Column('simple-json')
  history: History;

  @Column('text')
  savedAt: string;

  /** Set when the piece was taken off the shelf; it can be put back. */
  @Column('text', { nullable: true })
  removedAt: string | null;
}
