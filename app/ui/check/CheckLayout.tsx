import { Box } from "@chakra-ui/react";
import type { ReactNode } from "react";

interface CheckLayoutProps {
  verdict: ReactNode;
  cues: ReactNode;
  how: ReactNode;
  log: ReactNode;
  life?: ReactNode;
}

/** Table: verdict and how-to on the left, cues and log on the right, its life under the how-to. Phone: verdict, cues, how-to, log, life. */
export function CheckLayout({ verdict, cues, how, log, life }: CheckLayoutProps) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 5fr) minmax(0, 6fr)" }}
      gridTemplateRows={{ md: "auto auto auto 1fr" }}
      gridTemplateAreas={{
        base: '"verdict" "cues" "how" "log" "life"',
        md: '"verdict cues" "how cues" "how log" "life log"',
      }}
      gap={{ base: "12px", md: "8px 40px" }}
      alignItems="start"
    >
      <Box gridArea="verdict">{verdict}</Box>
      <Box gridArea="cues">{cues}</Box>
      <Box gridArea="how">{how}</Box>
      <Box display={{ base: "contents", md: "block" }} gridArea="log">
        {log}
      </Box>
      {life && <Box gridArea="life">{life}</Box>}
    </Box>
  );
}
