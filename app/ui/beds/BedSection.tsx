import { Box, chakra } from "@chakra-ui/react";
import { Link, useFetcher } from "react-router";
import { Fold } from "~/ui/shell/Fold";
import { Action, Bar, PlainList, QuietSpan } from "~/ui/theme/parts";
import type { UnitSystem } from "~/core/units";
import type { BedsAnswer } from "~/views/beds/beds-answer";
import type { BedsView } from "~/views/beds/beds-view";
import { ChangeBed } from "./ChangeBed";
import type { Kinds } from "./KindChoice";
import { LinesForm } from "./LinesForm";

type BedShown = BedsView[number];
type PlantingShown = BedShown["plantings"][number];

interface BedSectionProps {
  bed: BedShown;
  kinds: Kinds;
  units: UnitSystem;
  first: boolean;
  last: boolean;
}

/** One bed on the footpath: what grows, what rests, what grew. */
export function BedSection({ bed, kinds, units, first, last }: BedSectionProps) {
  const growing = bed.plantings.filter((p) => !p.finished);
  const over = bed.plantings.filter((p) => p.finished);
  const grew = over.length + bed.earlier;
  return (
    <chakra.section
      id={bed.id}
      aria-label={bed.name}
      borderLeft="2px dotted"
      borderColor="plum"
      paddingLeft="22px"
      paddingBottom="22px"
      position="relative"
      scrollMarginTop="20px"
    >
      <chakra.span
        aria-hidden
        position="absolute"
        left="-9px"
        top="6px"
        width="16px"
        height="16px"
        borderRadius="50%"
        background="plum"
      />
      <Bar alignItems="baseline" gap="4px 14px">
        <chakra.h2 fontSize="1.45rem">{bed.name}</chakra.h2>
        <QuietSpan>{bed.kindLabel}</QuietSpan>
      </Bar>
      <PlainList margin="4px 0 8px">
        {growing.map((p) => (
          <GrowingLine key={p.id} p={p} />
        ))}
        {growing.length === 0 && <chakra.li color="soft">Nothing grows here now.</chakra.li>}
      </PlainList>
      <LinesForm bed={bed} bedNames={[]} units={units} />
      <Fold quiet open={bed.opened} summary={<>Change this bed{grew ? `, or see what grew here (${grew})` : ""}</>}>
        <PlainList marginBottom="10px">
          {over.map((p) => (
            <OverLine key={p.id} p={p} />
          ))}
          {bed.earlier > 0 && (
            <li>
              <EarlierLink to={`/beds?earlier=${bed.id}#${bed.id}`}>{bed.earlier} more of earlier years</EarlierLink>
            </li>
          )}
        </PlainList>
        <ChangeBed bed={bed} kinds={kinds} first={first} last={last} />
      </Fold>
    </chakra.section>
  );
}

const EarlierLink = chakra(Link, { base: { display: "inline-flex", alignItems: "center", minHeight: "48px" } });

function GrowingLine({ p }: { p: PlantingShown }) {
  return (
    <chakra.li
      display="flex"
      alignItems="center"
      justifyContent="space-between"
      gap="10px"
      borderBottom="1px solid"
      borderColor="line"
      minHeight="48px"
    >
      <Box>
        <Link to={`/check/${p.id}`}>
          <strong>
            {p.stand ? `${p.stand} ` : ""}
            {p.crop}
          </strong>
          {p.variety ? `, ${p.variety}` : ""}
        </Link>
        <QuietSpan>
          {" "}
          · {p.since}
          {p.rests ? ` · ${p.rests}` : ""}
        </QuietSpan>
      </Box>
      <chakra.span flex="none">
        <Link to={`/plantings/${p.id}`} aria-label={`Change ${p.crop} ${p.variety}`}>
          Change
        </Link>
      </chakra.span>
    </chakra.li>
  );
}

function OverLine({ p }: { p: PlantingShown }) {
  const fetcher = useFetcher<BedsAnswer>();
  return (
    <chakra.li
      display="flex"
      gap="10px"
      alignItems="center"
      flexWrap="wrap"
      css={{ "& a": { display: "inline-block", paddingBlock: "10px" } }}
    >
      <Link to={`/check/${p.id}`}>
        {p.crop}
        {p.variety ? `, ${p.variety}` : ""}, {p.since}, finished {p.finished}
      </Link>
      <fetcher.Form method="post">
        <input type="hidden" name="plantingId" value={p.id} />
        <Action size="small" tone="bare" name="intent" value="reopen">
          It still grows
        </Action>
      </fetcher.Form>
    </chakra.li>
  );
}
