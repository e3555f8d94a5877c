import { chakra } from "@chakra-ui/react";

/** Buttons: one loud thing per screen is `loud`; the rest are quiet. A square corner marks the loud one. */
const look = {
  base: {
    display: "inline-flex",
    alignItems: "center",
    justifyContent: "center",
    gap: "8px",
    minHeight: "48px",
    paddingInline: "20px",
    fontFamily: "body",
    fontSize: "1rem",
    fontWeight: 700,
    lineHeight: 1.2,
    textDecoration: "none",
    cursor: "pointer",
    border: "2px solid transparent",
    borderRadius: "14px",
    transition: "background 0.15s, transform 0.1s",
    _active: { transform: "translateY(1px)" },
    _disabled: { opacity: 0.55, cursor: "not-allowed" },
  },
  variants: {
    tone: {
      loud: { background: "persimmonFill", color: "onPersimmon", borderRadius: "14px 14px 14px 2px" },
      quiet: { background: "card", color: "ink", borderColor: "edge" },
      bare: { background: "transparent", color: "ink", textDecoration: "underline", paddingInline: "8px" },
      dark: { background: "transparent", color: "onNight", borderColor: "onNight" },
    },
    size: { small: { minHeight: "40px", paddingInline: "14px", fontSize: "0.95rem" }, usual: {} },
  },
  defaultVariants: { tone: "quiet", size: "usual" },
} as const;

export const Action = chakra("button", look);
export const ActionLink = chakra("a", look);
