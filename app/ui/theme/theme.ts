import { createSystem, defaultBaseConfig, defineConfig } from "@chakra-ui/react";
import { BAND_PATTERNS } from "./band-patterns";
import { remembered } from "./remembered";
import { COLOURS, SUN_VARIABLES } from "./colours";

const config = defineConfig({
  preflight: true,
  cssVarsPrefix: "chakra",
  conditions: { dark: "@media (prefers-color-scheme: dark)" },
  globalCss: {
    html: { fontSize: "16px", colorScheme: "light dark" },
    ":root[data-sun]": { ...SUN_VARIABLES, colorScheme: "light", fontWeight: 500 },
    body: { background: "paper", color: "ink", fontFamily: "body", lineHeight: 1.45 },
    "h1, h2, h3": { fontFamily: "heading", fontWeight: 550, letterSpacing: "-0.01em", lineHeight: 1.15 },
    ":focus-visible": { outline: "3px solid", outlineColor: "persimmon", outlineOffset: "2px", borderRadius: "4px" },
    a: { color: "inherit", textDecoration: "underline", textUnderlineOffset: "3px" },
    "*": { "@media (prefers-reduced-motion: reduce)": { transition: "none !important", animation: "none !important" } },
    ...BAND_PATTERNS,
    "nav, button, form": { "@media print": { display: "none !important" } },
  },
  theme: {
    breakpoints: { sm: "480px", md: "768px", lg: "1024px", xl: "1240px" },
    tokens: {
      fonts: {
        heading: { value: "'Fraunces Variable', Georgia, serif" },
        body: { value: "'Atkinson Hyperlegible', Verdana, sans-serif" },
      },
      radii: { seed: { value: "14px" } },
    },
    semanticTokens: {
      colors: Object.fromEntries(
        Object.entries(COLOURS).map(([name, [day, dark]]) => [name, { value: { base: day, _dark: dark } }]),
      ),
    },
  },
});

/** Our own look on the component library: its base without its default theme. */
export const system = remembered(createSystem(defaultBaseConfig, config));
