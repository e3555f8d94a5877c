/** What a page of the field notes gets back. */
export interface NotesAnswer {
  /** Which form it answers: the path of a value, "variety", a school. */
  at: string;
  sentence?: string;
  errors?: Partial<Record<string, string>>;
  done?: boolean;
}
