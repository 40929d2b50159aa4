import type { StashEntry } from '@fellside/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A ring that is made and waits for a piece. */
@Entity('stash')
export class StashEntity {
  @PrimaryColumn('text')
  id: string;

  @Column('simple-json')
  ring: StashEntry;

  @Column('text')
  savedAt: string;
}
