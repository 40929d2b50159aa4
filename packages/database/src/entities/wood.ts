import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A wood of the user's own, beside those that ship with the program. */
@Entity('woods')
export class WoodEntity {
  @PrimaryColumn('text')
  id: string;

  @Column('text')
  species: string;
}
