import type { Board } from '@fellside/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A board on hand. */
@Entity('board')
export class BoardEntity {
  @PrimaryColumn('text')
  id: string;

  @Column('simple-json')
  board: Omit<Board, 'id'>;

  @Column('text')
  savedAt: string;
}
