import { Box, chakra } from "@chakra-ui/react";
import { BookOpen, CloudSun, Footprints, Mountain, NotebookText, Sprout } from "lucide-react";
import type { ReactNode } from "react";
import { Form, Link, NavLink, useLocation } from "react-router";
import { Action, QuietSpan } from "~/ui/theme/parts";
import { JumpButton } from "./JumpButton";
import { SunButton } from "./SunButton";

const PLACES = [
  { to: "/", label: "Horizon", Icon: Mountain },
  { to: "/round", label: "Round", Icon: Footprints },
  { to: "/beds", label: "Beds", Icon: Sprout },
  { to: "/sky", label: "Sky & away", Icon: CloudSun },
  { to: "/ledger", label: "Ledger", Icon: BookOpen },
  { to: "/notes", label: "Notes", Icon: NotebookText },
] as const;

const PlaceLink = chakra(NavLink, {
  base: {
    display: "inline-flex",
    alignItems: "center",
    justifyContent: "center",
    gap: { base: "2px", md: "8px" },
    flexDirection: { base: "column", md: "row" },
    flex: { base: 1, md: "none" },
    minHeight: { base: "56px", md: "44px" },
    paddingInline: { base: "2px", md: "14px" },
    fontSize: { base: "0.82rem", md: "1rem" },
    whiteSpace: "nowrap",
    color: "soft",
    textDecoration: "none",
    borderBottom: { md: "4px solid transparent" },
    borderTop: { base: "4px solid transparent", md: "none" },
    "&.active": { color: "ink", fontWeight: 700, borderColor: "persimmonFill" },
  },
});

interface GardenShellProps {
  gardenName: string;
  demo: boolean;
  /** What is on this device, how old it is and what waits. */
  pocket: ReactNode;
  /** On the walk the foot of the phone belongs to the log. */
  walking: boolean;
  children: ReactNode;
}

/** Frame of every screen: places along the top at the table, along the bottom in the field. */
export function GardenShell({ gardenName, demo, walking, pocket, children }: GardenShellProps) {
  const { pathname } = useLocation();
  return (
    <Box minHeight="100vh" paddingBottom={{ base: walking ? "0" : "76px", md: "0" }}>
      <chakra.a
        href="#main"
        position="absolute"
        left="-9999px"
        _focus={{ left: "8px", top: "8px", background: "card", padding: "12px", zIndex: 50 }}
      >
        Skip to the content
      </chakra.a>
      <chakra.header
        display="flex"
        alignItems="center"
        gap={{ base: "8px", md: "8px 24px" }}
        paddingInline={{ base: "16px", md: "28px" }}
        borderBottom="2px solid"
        borderColor="ink"
        minHeight={{ base: "48px", md: "56px" }}
        flexWrap="wrap"
      >
        <Box display="flex" flexDirection="column" alignItems="start" marginRight={{ md: "8px" }}>
          <chakra.span fontFamily="heading" fontSize="1.25rem" fontWeight="600" lineHeight="1.2" marginTop="4px">
            <Link to="/" style={{ textDecoration: "none" }}>
              {gardenName}
            </Link>
          </chakra.span>
          {pocket}
        </Box>
        <chakra.nav
          aria-label="Places"
          display={{ base: walking ? "none" : "flex", md: "flex" }}
          gap={{ base: "0", md: "4px" }}
          position={{ base: "fixed", md: "static" }}
          insetInline="0"
          bottom="0"
          zIndex="20"
          background="paper"
          borderTop={{ base: "2px solid", md: "none" }}
          borderColor="ink"
          alignSelf={{ md: "end" }}
          paddingBottom={{ base: "env(safe-area-inset-bottom)", md: "0" }}
        >
          {PLACES.map(({ to, label, Icon }) => (
            <PlaceLink key={to} to={to} end={to === "/"}>
              <Icon size={20} aria-hidden />
              {label}
            </PlaceLink>
          ))}
        </chakra.nav>
        <chakra.span marginLeft="auto" display="inline-flex" alignItems="center" gap={{ base: "2px", md: "10px" }}>
          <SunButton />
          {!walking && <JumpButton />}
          {!walking && demo && (
            <Form method="post" action="/demo/step" style={{ display: "flex", alignItems: "center", gap: 8 }}>
              <QuietSpan size="small" display={{ base: "none", md: "inline" }}>
                Demo
              </QuietSpan>
              <input type="hidden" name="back" value={pathname} />
              <Action size="small" name="days" value="1" type="submit" title="Steps the demo's clock to the next day">
                Next day
              </Action>
            </Form>
          )}
        </chakra.span>
      </chakra.header>
      <chakra.main id="main">{children}</chakra.main>
    </Box>
  );
}
