import { chakra } from "@chakra-ui/react";
import { useEffect, useState } from "react";
import { useOutbox } from "~/ui/outbox/OutboxProvider";
import { pocketWords } from "./pocket-words";
import { usePocket } from "./usePocket";

const EVERY_MS = 30_000;

interface PocketNoteProps {
  /** When what is shown came from the garden's machine. */
  servedAt: string;
  /** Of the page. */
  build: string;
}

/** What is on this device, how old it is and what waits: three words, and sentences behind a tap. */
export function PocketNote({ servedAt, build }: PocketNoteProps) {
  const pocket = usePocket(build);
  const { waiting } = useOutbox();
  const words = pocketWords(pocket, servedAt, waiting, useNow());
  if (!words) return null;
  return (
    <chakra.details position="relative" fontSize={{ base: "0.95rem", md: "0.85rem" }} lineHeight="1.3">
      <chakra.summary
        cursor="pointer"
        listStyle="none"
        minHeight={{ base: "32px", md: "24px" }}
        display="flex"
        alignItems="center"
        gap="6px"
        color={words.isTrouble ? "persimmon" : "soft"}
        fontWeight={words.isTrouble ? 700 : 400}
        whiteSpace="nowrap"
      >
        {words.isTrouble && <span aria-hidden>!</span>}
        {words.short.join(" · ")}
      </chakra.summary>
      <chakra.div
        position="absolute"
        insetInlineStart="0"
        top="100%"
        zIndex="30"
        width="min(320px, calc(100vw - 32px))"
        padding="12px 16px"
        background="card"
        border="2px solid"
        borderColor="ink"
        borderRadius="10px"
      >
        {words.long.map((sentence) => (
          <chakra.p key={sentence} fontSize="1rem" lineHeight="1.4" marginBottom="6px">
            {sentence}
          </chakra.p>
        ))}
      </chakra.div>
    </chakra.details>
  );
}

/** The time as it goes on, ms. */
function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), EVERY_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}
