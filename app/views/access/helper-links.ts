/** Links of helpers that open, and whether one can be made. */
export interface HelperLinks {
  canMake: boolean;
  links: { id: string; name: string; until: string }[];
}

/** What came of making a link or ending one. The link itself is told once: only its hash is kept. */
export interface LinkTold {
  made?: { name: string; url: string; picture: string; until: string };
  done?: string;
  error?: string;
}
