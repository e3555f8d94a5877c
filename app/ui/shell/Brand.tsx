import { chakra } from "@chakra-ui/react";

/** The name of the app and its sign: a shallow arc with a mark on top. */
export function Brand() {
  return (
    <chakra.div display="flex" alignItems="center" gap="12px">
      <svg width="64" height="30" viewBox="0 0 64 30" aria-hidden>
        <path d="M3 26 Q 32 -6 61 26" fill="none" stroke="currentColor" strokeWidth="3" strokeLinecap="round" />
        <chakra.circle
          cx="32"
          cy="10"
          r="6"
          fill="persimmonFill"
          css={{ fill: "var(--chakra-colors-persimmon-fill)" }}
        />
      </svg>
      <chakra.span fontFamily="heading" fontSize="1.7rem" fontWeight="600">
        Akmedon
      </chakra.span>
    </chakra.div>
  );
}
