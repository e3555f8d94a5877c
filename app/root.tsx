import "@fontsource-variable/fraunces/index.css";
import "@fontsource/atkinson-hyperlegible/400.css";
import "@fontsource/atkinson-hyperlegible/700.css";
import { ChakraProvider } from "@chakra-ui/react";
import { Links, Meta, Outlet, Scripts, ScrollRestoration } from "react-router";
import { useContext } from "react";
import type { Route } from "./+types/root";
import { Nonce } from "~/ui/shell/nonce";
import { Trouble } from "~/ui/shell/Trouble";
import { system } from "~/ui/theme";

export const meta: Route.MetaFunction = () => [
  { title: "Akmedon" },
  { name: "description", content: "When each crop in the garden is at its peak, and the round that beats the frost." },
];

export const links: Route.LinksFunction = () => [
  { rel: "icon", href: "/icon.svg", type: "image/svg+xml" },
  { rel: "manifest", href: "/manifest.webmanifest" },
];

export function Layout({ children }: { children: React.ReactNode }) {
  const nonce = useContext(Nonce);
  return (
    <html lang="en">
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <Meta />
        <Links />
      </head>
      <body>
        <ChakraProvider value={system}>{children}</ChakraProvider>
        <ScrollRestoration nonce={nonce} />
        <Scripts nonce={nonce} />
      </body>
    </html>
  );
}

export default function App() {
  return <Outlet />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return (
    <main>
      <Trouble error={error} />
    </main>
  );
}
