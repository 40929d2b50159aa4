import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A motif or a block of places, kept for any piece. */
@Entity('pattern')
export class PatternEntity {
  @PrimaryColumn('text')
  id: string;

  @Column('text')
  pattern: string;

  @Column('text')
  savedAt: string;
}
