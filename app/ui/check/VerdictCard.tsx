import { Box, chakra } from "@chakra-ui/react";
import { memo } from "react";
import { Link } from "react-router";
import type { CheckView } from "~/views/check/check-view";
import { Fold } from "~/ui/shell/Fold";
import { ReadinessArc } from "~/ui/arc/ReadinessArc";
import { Quiet, QuietSpan } from "~/ui/theme/parts";

/** The arc and the verdict, moving as cues are tapped. */
export function VerdictHead({ view, pending }: { view: CheckView; pending: boolean }) {
  return (
    <Box>
      <ReadinessArc
        at={view.arc.at}
        spread={view.arc.spread}
        size="large"
        label={`${view.crop}: ${view.stage}`}
        urgent={view.urgent}
      />
      <chakra.p
        aria-live="polite"
        data-testid="verdict"
        fontFamily="heading"
        fontSize="1.5rem"
        fontWeight="600"
        lineHeight="1.2"
        margin="4px 0 8px"
        color={view.urgent ? "persimmon" : "ink"}
        opacity={pending ? 0.6 : 1}
      >
        {view.verdict}
      </chakra.p>
      {view.planToday && <chakra.p margin="0 0 8px">{view.planToday}</chakra.p>}
      {view.conflict && (
        <chakra.p margin="0 0 8px" padding="10px 12px" border="2px dashed" borderColor="persimmon" borderRadius="10px">
          {view.conflict}
        </chakra.p>
      )}
    </Box>
  );
}

/** How to take it, what waiting costs, the caution; "why?" in one tap. */
export const HowToTake = memo(function HowToTake({ view }: { view: CheckView }) {
  return (
    <Box>
      {view.told.map((line) => (
        <chakra.p key={line} margin="0 0 6px">
          {line}
        </chakra.p>
      ))}
      <chakra.p margin="0 0 6px">{view.how}</chakra.p>
      <Quiet margin="0 0 6px">{view.waiting}</Quiet>
      {view.caution && (
        <chakra.p margin="0 0 6px">
          <strong>Take care: </strong>
          {view.caution}
        </chakra.p>
      )}
      <WhyThis view={view} />
    </Box>
  );
});

function WhyThis({ view }: { view: CheckView }) {
  return (
    <Fold summary="Why?">
      <Box display="grid" gap="8px" paddingBottom="8px">
        <p>
          It stands {view.sure} for this. Opens {view.opens}; closes {view.closes}.
        </p>
        {view.evidence.length === 0 ? (
          <p>Nothing has been looked at yet: this is from its dates and the heat so far.</p>
        ) : (
          <chakra.ul margin="0" paddingLeft="18px" listStyleType="disc">
            {view.evidence.map((e) => (
              <li key={e.ask + e.on}>
                {e.ask} “{e.reading}”, {e.on}: <strong>{e.effect}</strong>
              </li>
            ))}
          </chakra.ul>
        )}
        {view.plan && <p>{view.plan}</p>}
        <p>
          <Link to={`/notes/${view.cropId}`}>Field notes on {view.crop.toLowerCase()}</Link>
        </p>
        <chakra.dl margin="0" fontSize="0.95rem" css={{ "& dt": { fontWeight: 700 }, "& dd": { margin: "0 0 4px" } }}>
          {view.standings.map(([what, value, standing]) => (
            <div key={what}>
              <dt>{what}</dt>
              <dd>
                {value} <QuietSpan>({standing})</QuietSpan>
              </dd>
            </div>
          ))}
        </chakra.dl>
      </Box>
    </Fold>
  );
}
