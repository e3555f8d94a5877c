import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Link } from "react-router";
import type { GardenSentence, GardenSentences } from "~/views/sentences/garden";
import { Jobs } from "~/ui/garden/Jobs";
import { PlainList, Quiet } from "~/ui/theme/parts";
import type { HorizonPageView } from "./usePlanEdits";
import type { Advice } from "./useAdvice";

const PARTS = [
  ["best", "At its best", "Nothing is at its best today."],
  ["turning", "About to turn", "Nothing is about to turn."],
  ["threatened", "Threatened", "No frost or storm in sight."],
] as const;

interface AsideProps {
  sentences: GardenSentences;
  /** Comes after the page: the plan has to be asked again for it. */
  advice: Advice;
  /** Without a forecast nothing is said of what threatens but that it is not known. */
  weatherKnown: boolean;
  usualFrost: { last: string; first: string };
  jobs: HorizonPageView["jobs"];
}

/** The garden in plain sentences, beside the board at the table, above it in the field. */
export function GardenSentencesAside({ sentences, advice, weatherKnown, usualFrost, jobs }: AsideProps) {
  return (
    <chakra.aside
      aria-label="The garden in words"
      padding={{ base: "0 16px 16px", lg: "14px 22px" }}
      borderLeft={{ lg: "1px solid" }}
      borderColor={{ lg: "line" }}
      background={{ lg: "card" }}
      minHeight={{ lg: "100vh" }}
      display="grid"
      alignContent="start"
      gap="16px"
    >
      {PARTS.map(([part, title, none]) => (
        <Paragraph key={part} title={title}>
          <Sentences
            sentences={sentences[part]}
            none={
              part === "threatened" && !weatherKnown ? "No forecast here: I do not know about frost or storms." : none
            }
            cold={part === "threatened"}
          />
          {part === "threatened" && !weatherKnown && (
            <Quiet marginTop="4px">
              {usualFrost.last}. {usualFrost.first}.
            </Quiet>
          )}
        </Paragraph>
      ))}
      {jobs.due.length + jobs.marked.length > 0 && (
        <Paragraph title="Beside picking">
          <Jobs {...jobs} />
        </Paragraph>
      )}
      {advice && advice.acts.length > 0 && (
        <Paragraph title="Worth doing">
          <Sentences sentences={advice.acts} none="" cold />
        </Paragraph>
      )}
      <Paragraph title="Doesn’t fit">
        {advice ? (
          <Sentences sentences={advice.unfit} none="Everything fits in the time there is." />
        ) : (
          <Quiet>{advice === null ? "That could not be worked out just now." : "Asking the plan again …"}</Quiet>
        )}
      </Paragraph>
    </chakra.aside>
  );
}

function Paragraph({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box>
      <chakra.h2 fontSize="1.2rem" marginBottom="4px">
        {title}
      </chakra.h2>
      {children}
    </Box>
  );
}

function Sentences({ sentences, none, cold = false }: { sentences: GardenSentence[]; none: string; cold?: boolean }) {
  if (sentences.length === 0) return <Quiet>{none}</Quiet>;
  return (
    <PlainList display="grid" gap="8px">
      {sentences.map((s, i) => (
        <li key={i}>
          <SentenceLine sentence={s} cold={cold} />
        </li>
      ))}
    </PlainList>
  );
}

function SentenceLine({ sentence, cold }: { sentence: GardenSentence; cold: boolean }) {
  const text = (
    <chakra.span color={sentence.urgent ? "persimmon" : "ink"} fontWeight={sentence.urgent ? 700 : 400}>
      {sentence.text}
    </chakra.span>
  );
  if (!sentence.plantingId)
    return (
      <>
        <chakra.strong color={cold ? "slate" : "ink"}>{sentence.lead}:</chakra.strong> {text}
      </>
    );
  return (
    <>
      <chakra.strong>
        <Link to={`/check/${sentence.plantingId}`}>{sentence.lead}</Link>
      </chakra.strong>
      <br />
      {text}
    </>
  );
}
