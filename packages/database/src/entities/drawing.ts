import { Column, Entity, PrimaryColumn } from 'typeorm';

/** The small drawing of a piece for the shelf, made from its document at one revision; it can be made again at any time. */
@Entity('drawings')
export class DrawingEntity {
  @PrimaryColumn('text')
  projectId: string;

  @Column('integer')
  revision: number;

  @Column('blob')
  png: Buffer;
}
