import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A ring that is made and waits for a piece. */
@Entity('stash')
export class StashEntity {
  @PrimaryColumn('text')
  id: string;

  @Column('text')
  ring: string;

  @Column('text')
  savedAt: string;
}
