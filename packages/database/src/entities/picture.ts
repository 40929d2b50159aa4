import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A picture that lies under a drawing, kept by what is in it: the same picture twice is one row. */
@Entity('pictures')
export class PictureEntity {
  /** SHA-256 of the bytes, hexadecimal. */
  @PrimaryColumn('text')
  key: string;

  @Column('text')
  type: string;

  @Column('blob')
  bytes: Buffer;
}
