import { Column, Entity, Index, PrimaryColumn } from 'typeorm';

/** A project as last saved. `revision` rises by one with every save. */
@Entity('projects')
@Index('projects_by_time', ['removedAt', 'savedAt'])
export class ProjectEntity {
  @PrimaryColumn('text')
  id: string;

  @Column('integer')
  revision: number;

  /** The project as JSON; kept as text, so that one that cannot be read is one row and not the whole shelf. */
  @Column('text')
  document: string;

  @Column('text')
  history: string;

  @Column('text')
  savedAt: string;

  /** What a list needs, made from the document in the same write; null where the document cannot be read. */
  @Column('text', { nullable: true })
  name: string | null;

  @Column('real', { nullable: true })
  heightMm: number | null;

  @Column('real', { nullable: true })
  diameterMm: number | null;

  /** Ids of the woods of its palette, JSON. */
  @Column('text', { nullable: true })
  woods: string | null;

  /** What its form is called. */
  @Column('text', { nullable: true })
  kind: string | null;

  /** 1 where a day of making stands on its passport. */
  @Column('integer', { default: 0 })
  made: number;

  /** Set when the piece was taken off the shelf; it can be put back. */
  @Column('text', { nullable: true })
  removedAt: string | null;
}
