import { Column, Entity, Index, PrimaryColumn } from 'typeorm';

/** So many of a job of a piece done, or taken back: what was counted is added, never written over. */
@Entity('ticks')
@Index('ticks_by_piece', ['projectId'])
export class TickEntity {
  /** Given by the device that counted: sent twice it is the same. */
  @PrimaryColumn('text')
  id: string;

  @Column('text')
  projectId: string;

  @Column('text')
  job: string;

  @Column('integer')
  amount: number;

  /** When it was done, by the clock of the device. */
  @Column('text')
  at: string;

  @Column('text')
  device: string;
}
