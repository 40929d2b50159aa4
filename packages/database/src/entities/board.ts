import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A board on hand. */
@Entity('board')
export class BoardEntity {
  @PrimaryColumn('text')
  id: string;

  @Column('text')
  board: string;

  @Column('text')
  savedAt: string;
}
