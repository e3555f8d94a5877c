/** The page to go to; an address that a browser would take for another site's is the start page. */
export function pageOfOurs(asked: string): string {
  const here = "http://here.invalid";
  const to = URL.canParse(asked, here) ? new URL(asked, here) : undefined;
  return to?.origin === here ? to.pathname + to.search : "/";
}
