import type { LedgerSort } from "~/core/ledger";
import type { TotalledBy } from "~/views/ledger/ledger-view";

/** What the ledger's address asks for. */
export interface LedgerAsked {
  by: TotalledBy;
  q: string;
  sort: LedgerSort;
  order: "up" | "down";
  page: number;
}

const USUAL: LedgerAsked = { by: "crop", q: "", sort: "day", order: "down", page: 1 };

/** What differs from the ledger as it opens, by its names in the address. */
export function unusual(asked: LedgerAsked): [string, string][] {
  return Object.entries(asked).flatMap(([key, value]) =>
    value === USUAL[key as keyof LedgerAsked] ? [] : [[key, String(value)] as [string, string]],
  );
}

/** The address of the ledger asked otherwise; what is sought, or put in another order, starts at its first page. */
export function ledgerAddress(asked: LedgerAsked, change: Partial<LedgerAsked>): string {
  const query = new URLSearchParams(unusual({ ...asked, page: 1, ...change })).toString();
  return query ? `/ledger?${query}` : "/ledger";
}
