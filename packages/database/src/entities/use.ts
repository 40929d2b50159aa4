import { Entity, Index, PrimaryColumn } from 'typeorm';

/** What a piece may use that others want to know of. */
export const USES = ['stash', 'wood', 'picture'] as const;
export type UseKind = (typeof USES)[number];

/** What pieces use: an index made from their documents in the same write, so that nobody reads them all to ask. */
@Entity('uses')
@Index('uses_by_piece', ['projectId'])
export class UseEntity {
  @PrimaryColumn('text')
  kind: UseKind;

  /** The ring's number in the stash, the wood's id, the picture's key. */
  @PrimaryColumn('text')
  key: string;

  @PrimaryColumn('text')
  projectId: string;
}
