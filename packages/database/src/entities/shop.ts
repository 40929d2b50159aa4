import { Column, Entity, PrimaryColumn } from 'typeorm';

/** The shop's settings: a single row. */
@Entity('shop')
export class ShopEntity {
  @PrimaryColumn('integer')
  id: number;

  @Column('text')
  settings: string;
}
