import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Link } from "react-router";
import { Action, Bar, PageName, Quiet } from "~/ui/theme/parts";

export interface Choice {
  href: string;
  words: string;
  isThis: boolean;
}

interface SheetFrameProps {
  name: string;
  lead: string;
  /** Other nights or trips that the page can be about. */
  choices?: readonly Choice[];
  /** Other pages that go with it. */
  links?: readonly { href: string; words: string }[];
  children: ReactNode;
}

/** A page made from the plan, a sheet to print: in black, one column on paper. */
export function SheetFrame({ name, lead, choices = [], links = [], children }: SheetFrameProps) {
  return (
    <Box
      maxWidth="1080px"
      marginInline="auto"
      padding={{ base: "14px 18px", md: "22px 28px" }}
      css={{
        "@media print": {
          maxWidth: "none",
          padding: 0,
          fontSize: "0.76rem",
          lineHeight: 1.3,
          color: "black",
          "& p": { lineHeight: 1.3 },
        },
      }}
    >
      <Bar spread="yes" gap="8px 20px">
        <PageName>{name}</PageName>
        <Bar gap="10px" css={{ "@media print": { display: "none" } }}>
          {links.map((l) => (
            <chakra.span key={l.href} minHeight="40px" display="inline-flex" alignItems="center">
              <Link to={l.href}>{l.words}</Link>
            </chakra.span>
          ))}
          <Action onClick={() => window.print()}>Print</Action>
        </Bar>
      </Bar>
      <chakra.p fontFamily="heading" fontSize="1.25rem" margin="4px 0 0" maxWidth="70ch">
        {lead}
      </chakra.p>
      {choices.length > 1 && (
        <chakra.nav aria-label="Others ahead" display="flex" flexWrap="wrap" gap="4px 16px" marginTop="6px">
          {choices.map((c) =>
            c.isThis ? (
              <chakra.strong key={c.href} paddingBlock="10px">
                {c.words}
              </chakra.strong>
            ) : (
              <chakra.span key={c.href} paddingBlock="10px">
                <Link to={c.href}>{c.words}</Link>
              </chakra.span>
            ),
          )}
        </chakra.nav>
      )}
      {children}
    </Box>
  );
}

/** A part of such a page. */
export function Part({ title, note, children }: { title: string; note?: string | null; children: ReactNode }) {
  return (
    <chakra.section aria-label={title} marginTop="22px" css={{ "@media print": { marginTop: "10px" } }}>
      <chakra.h2 fontSize="1.35rem" marginBottom="4px">
        {title}
      </chakra.h2>
      {note && <Quiet marginBottom="6px">{note}</Quiet>}
      {children}
    </chakra.section>
  );
}

/** What such a page says where there is nothing for it to be about. */
export function NothingAhead({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box maxWidth="720px" marginInline="auto" padding={{ base: "14px 18px", md: "22px 28px" }}>
      <PageName>{name}</PageName>
      {children}
    </Box>
  );
}
