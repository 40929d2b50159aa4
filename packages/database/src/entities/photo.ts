import { Column, Entity, Index, PrimaryColumn } from 'typeorm';

/** A photograph in the journal of a piece, as it was taken, and turned and shrunk to be looked at. */
@Entity('photos')
@Index('photos_by_piece', ['projectId'])
export class PhotoEntity {
  @PrimaryColumn('text')
  id: string;

  @Column('text')
  projectId: string;

  @Column('text')
  type: string;

  @Column('blob')
  bytes: Buffer;

  /** JPEG; null until a browser has made it. */
  @Column('blob', { nullable: true })
  view: Buffer | null;
}
