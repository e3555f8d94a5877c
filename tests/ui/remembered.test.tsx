import { Box, ChakraProvider, chakra, createSystem, defaultBaseConfig, defineRecipe } from "@chakra-ui/react";
import { renderToString } from "react-dom/server";
import { expect, test, vi } from "vitest";
import { remembered } from "~/ui/theme/remembered";

const recipe = defineRecipe({
  base: { padding: "4px", _hover: { color: "red" } },
  variants: { tone: { loud: { background: "plum" }, quiet: { background: "none" } } },
  defaultVariants: { tone: "quiet" },
});
const Styled = chakra("button", recipe);
const Plain = chakra("span", { base: { fontWeight: 700 } });
const make = () => createSystem(defaultBaseConfig, { theme: { tokens: { colors: { plum: { value: "#513" } } } } });

function Screen() {
  return (
    <Box
      padding={{ base: "2px", md: "8px" }}
      css={{ "& .row": { color: "plum", "@media print": { display: "none" } } }}
    >
      <Styled tone="loud" margin="3px" className="own">
        a
      </Styled>
      <Styled>b</Styled>
      <Styled tone="quiet" padding="9px">
        c
      </Styled>
      <Plain color="plum">d</Plain>
      <Plain fontWeight={400} data-x="1" hidden>
        e
      </Plain>
    </Box>
  );
}

test("what is remembered is drawn as it would be without, however often", () => {
  const [plain, quick] = [make(), remembered(make())];
  const draw = (system: typeof plain) => renderToString(<ChakraProvider value={system}><Screen /></ChakraProvider>); // prettier-ignore
  const wanted = draw(plain);
  expect(draw(quick)).toBe(wanted);
  expect(draw(quick)).toBe(wanted);
  expect(wanted).toContain("own");
});

test("a screen drawn again asks the system for no style a second time", () => {
  const system = make();
  const asked = vi.fn(system.css);
  const quick = remembered({ ...system, css: asked });
  const draw = () => renderToString(<ChakraProvider value={quick}><Screen /></ChakraProvider>); // prettier-ignore
  draw();
  const first = asked.mock.calls.length;
  draw();
  expect([first > 3, asked.mock.calls.length]).toEqual([true, first]);
});
