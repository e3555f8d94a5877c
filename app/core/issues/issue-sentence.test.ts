import { expect, test } from "vitest";
import { z } from "zod";
import { fieldErrors } from "./field-errors";

const said = (schema: z.ZodType, value: unknown) => fieldErrors(z.object({ field: schema }).safeParse({ field: value }).error!).field; // prettier-ignore

test.each<[string, z.ZodType, unknown, string]>([
  ["a number that is a word", z.coerce.number(), "many", "Write a number."],
  ["a number that is missing", z.number(), undefined, "Write a number."],
  ["a text that is missing", z.string(), undefined, "Fill this in."],
  ["a text that is a file", z.string(), new Blob(), "Fill this in."],
  ["a text that is empty", z.string().min(1), "", "Fill this in."],
  ["a text that is too long", z.string().max(3), "four", "Keep it under 3 letters."],
  ["a number that is too small", z.number().min(5), 1, "It cannot be under 5."],
  ["a number at an open end", z.number().positive(), 0, "It cannot be as little as 0."],
  ["a number that is too big", z.number().int().max(100), 1e9, "It cannot be over 100."],
  ["a number past all bounds", z.number().int(), 1e300, "It cannot be over 9007199254740991."],
  ["half of a whole", z.number().int(), 2.5, "Write a number."],
  ["something that is not on the list", z.enum(["a", "b"]), "c", "Choose one of the list."],
  ["a day that is none", z.iso.date(), "2026-02-30", "Write the day like 2026-05-20."],
  ["two kinds, neither of them", z.union([z.literal("x"), z.number()]), "y", "This cannot be read."],
  ["too many of a list", z.array(z.string()).max(1), ["a", "b"], "Choose at most 1."],
])("schema words would have reached a person: %s", (_, schema, value, sentence) =>
  expect(said(schema, value)).toBe(sentence),
);

test("a sentence of the schema's own is kept", () =>
  expect(said(z.string().min(1, "Say where or why, in a word."), "")).toBe("Say where or why, in a word."));
