import { chakra } from "@chakra-ui/react";
import {
  action,
  bar,
  bigNumber,
  card,
  chip,
  errorLine,
  field,
  fieldNote,
  figures,
  page,
  pageName,
  panel,
  plainList,
  quiet,
} from "./recipes";

/** Elements by what they are; how they look is in the recipe of that name. */
export const Sheet = chakra("section", card);
export const Quiet = chakra("p", quiet);
export const QuietSpan = chakra("span", quiet);
export const Page = chakra("div", page);
export const PageName = chakra("h1", pageName);
export const Bar = chakra("div", bar);
export const Chip = chakra("button", chip, { defaultProps: { type: "button" } });
export const TextInput = chakra("input", field);
export const TextArea = chakra("textarea", field);
export const Choice = chakra("select", field);
export const FieldNote = chakra("div", fieldNote);
export const ErrorText = chakra("span", errorLine);
export const BigNumber = chakra("input", bigNumber);
export const Action = chakra("button", action);
export const ActionLink = chakra("a", action);
export const Panel = chakra("section", panel);
export const Figures = chakra("table", figures);
export const PlainList = chakra("ul", plainList);
