// @vitest-environment node
import { ChakraProvider } from "@chakra-ui/react";
import { renderToString } from "react-dom/server";
import { createMemoryRouter, RouterProvider } from "react-router";
import { expect, test } from "vitest";
import { Following } from "~/ui/shell/Following";
import { system } from "~/ui/theme";

const draw = (of: string | Promise<string>) => {
  const router = createMemoryRouter([{ path: "/", element: <Following of={of}>{(said) => <p>{said}</p>}</Following> }]);
  return renderToString(<ChakraProvider value={system}><RouterProvider router={router} /></ChakraProvider>); // prettier-ignore
};

test("what is there is drawn at once; what comes leaves the page standing with a word", () => {
  expect(draw("the plan")).toContain("<p>the plan</p>");
  const waiting = draw(new Promise(() => undefined));
  expect(waiting).toContain("Looking over the beds");
  expect(waiting).not.toContain("<p>the plan</p>");
});
