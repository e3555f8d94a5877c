import { chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { Bar, Quiet } from "~/ui/theme/parts";
import type { LedgerShown } from "~/views/ledger/ledger-view";
import { counted } from "~/views/words";
import { ledgerAddress, type LedgerAsked } from "./ledger-address";

const PageLink = chakra(Link, {
  base: { display: "inline-flex", alignItems: "center", minHeight: "48px", fontWeight: 700 },
});

/** How many lines there are, which of them are shown, and the way to the others. */
export function LedgerPager({ shown, asked }: { shown: LedgerShown; asked: LedgerAsked }) {
  const { from, to, count, pages } = shown;
  if (count === 0) return <p>No line has “{asked.q}” in it.</p>;
  const found = asked.q ? ` with “${asked.q}”` : "";
  return (
    <Bar as="nav" aria-label="Pages of the ledger" gap="4px 24px" marginTop="10px">
      <Quiet margin="0" role="status">
        {pages > 1
          ? `Lines ${from.toLocaleString("en")} to ${to.toLocaleString("en")} of ${count.toLocaleString("en")}${found}`
          : counted(count, "line") + found}
      </Quiet>
      {asked.page > 1 && <PageLink to={ledgerAddress(asked, { page: asked.page - 1 })}>← Page before</PageLink>}
      {asked.page < pages && <PageLink to={ledgerAddress(asked, { page: asked.page + 1 })}>Next page →</PageLink>}
    </Bar>
  );
}
