import { Box, chakra } from "@chakra-ui/react";
import {
  CloudHail,
  CloudLightning,
  Droplets,
  Leaf,
  Mountain,
  Snowflake,
  Sun,
  Thermometer,
  type LucideIcon,
} from "lucide-react";
import { Link } from "react-router";
import type { HazardKind } from "~/core/garden";
import type { HazardCard } from "~/views/sentences/hazard";
import { counted } from "~/views/words";
import type { SkyView } from "~/views/sky/sky-view";
import { Figures, PlainList } from "~/ui/theme/parts";
import { Fold } from "~/ui/shell/Fold";
import { CoverButton } from "./CoverButton";

const ICONS: Record<HazardKind, LucideIcon> = {
  frost: Snowflake,
  chill: Thermometer,
  "frozen ground": Mountain,
  storm: CloudHail,
  heat: Sun,
  thunder: CloudLightning,
  watery: Droplets,
  "wet leaves": Leaf,
};
/** What is coming that matters, soonest first: odds, what it threatens, and what helps. */
export function HazardCards({ view }: { view: SkyView }) {
  return (
    <chakra.section aria-label="What to reckon with" marginTop="16px">
      <chakra.h2 fontSize="1.4rem" marginBottom="8px">
        {view.cards.length > 0 ? "What to reckon with" : "Nothing to reckon with"}
      </chakra.h2>
      {view.cards.length === 0 && (
        <p>
          {view.days.some((d) => d.source === "forecast")
            ? "No frost, storm, heat or wet leaves that touch this garden, as far as the forecast sees."
            : "There is no forecast to go by. Fetch one, read a file or note one by hand below."}
        </p>
      )}
      {/* Columns, since a frost has much to say and wet leaves little. */}
      <Box css={{ columnWidth: "350px", columnGap: "14px" }}>
        {view.cards.map((card) => (
          <OneCard key={card.key} card={card} />
        ))}
      </Box>
    </chakra.section>
  );
}

function OneCard({ card }: { card: HazardCard }) {
  const Icon = ICONS[card.kind];
  const warm = card.kind === "heat" || card.kind === "thunder";
  return (
    <chakra.article
      aria-label={card.lead}
      background="card"
      border="1px solid"
      borderColor="line"
      borderLeft="5px solid"
      borderLeftColor={warm ? "persimmonFill" : "slate"}
      borderRadius="seed"
      padding="12px 16px"
      marginBottom="14px"
      css={{ breakInside: "avoid" }}
    >
      <chakra.h3 fontSize="1.2rem" display="flex" gap="8px" alignItems="center" color={warm ? "ink" : "slate"}>
        <Icon size={22} aria-hidden />
        {card.lead}
      </chakra.h3>
      <chakra.p fontWeight="700" margin="2px 0 4px">
        {card.where}
      </chakra.p>
      {card.stake.length > 0 && <chakra.p margin="0 0 6px">{card.stake.join(" ")}</chakra.p>}
      <PlainList display="grid" gap="6px">
        {card.acts.map((act) => (
          <chakra.li key={act.words}>
            <strong>{act.name}.</strong> {act.words}
            {act.cover && <CoverButton cover={act.cover} />}
          </chakra.li>
        ))}
      </PlainList>
      {card.caution && (
        <chakra.p margin="8px 0 0" fontSize="0.95rem">
          <strong>Take care: </strong>
          {card.caution}
        </chakra.p>
      )}
      {(card.touched.length > 0 || card.beds.length > 0) && <Threatened card={card} />}
    </chakra.article>
  );
}

function Threatened({ card }: { card: HazardCard }) {
  return (
    <Fold
      quiet
      summary={[counted(card.touched.length, "planting"), card.beds.length ? counted(card.beds.length, "bed") : ""]
        .filter(Boolean)
        .join(", ")}
    >
      <PlainList margin="0 0 8px" display="grid" gap="4px">
        {card.touched.map((t) => (
          <li key={t.plantingId}>
            <Link to={`/check/${t.plantingId}`} style={{ display: "inline-block", minHeight: 28 }}>
              {t.name}
            </Link>
            , {t.says}
          </li>
        ))}
      </PlainList>
      {card.beds.length > 0 && (
        <Figures css={{ "& td, & th": { border: "none", padding: "3px 14px 3px 0" } }}>
          <tbody>
            {card.beds.map((b) => (
              <tr key={b.id}>
                <th scope="row">{b.name}</th>
                <td>{b.odds}</td>
                <td>{b.low}</td>
              </tr>
            ))}
          </tbody>
        </Figures>
      )}
    </Fold>
  );
}
