/** Another phone on the walk, where it is. */
export interface WalkerAt {
  /** Whose it is, where that is known. */
  person: string | null;
  plantingId: string;
  bed: string;
  name: string;
}

export interface WhoIsWhere {
  others: WalkerAt[];
  /** The state of the garden: where it is another one, something was logged meanwhile. */
  as: string;
}
