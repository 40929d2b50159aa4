import { Column, Entity, Index, PrimaryColumn } from 'typeorm';

/** An entry of the journal of a piece: written by hand, or by itself as work goes on. */
@Entity('journal')
@Index('journal_by_piece', ['projectId'])
export class JournalEntity {
  /** Given by who wrote it: sent twice it is the same. */
  @PrimaryColumn('text')
  id: string;

  @Column('text')
  projectId: string;

  @Column('text')
  at: string;

  /** The whole entry as JSON. */
  @Column('text')
  entry: string;
}
