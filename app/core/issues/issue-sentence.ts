import type { z } from "zod";

type Issue = z.core.$ZodIssue;

/** What a schema says when nobody wrote a sentence for it. */
const IN_SCHEMA_WORDS = /^(Invalid|Too (big|small)|Unrecognized|Expected)/i;

const few = (count: number, one: string) => `${count} ${one}${count === 1 ? "" : "s"}`;

function ofItsKind(issue: Issue): string {
  switch (issue.code) {
    case "invalid_type":
      if (issue.expected === "number" || issue.expected === "int") return "Write a number.";
      return issue.expected === "string" ? "Fill this in." : "This cannot be read.";
    case "too_small":
      if (issue.origin === "string") return Number(issue.minimum) <= 1 ? "Fill this in." : `Write at least ${few(Number(issue.minimum), "letter")}.`; // prettier-ignore
      if (issue.origin === "array" || issue.origin === "set") return `Choose at least ${issue.minimum}.`;
      return `It cannot be ${issue.inclusive ? "under" : "as little as"} ${issue.minimum}.`;
    case "too_big":
      if (issue.origin === "string") return `Keep it under ${few(Number(issue.maximum), "letter")}.`;
      if (issue.origin === "array" || issue.origin === "set") return `Choose at most ${issue.maximum}.`;
      return `It cannot be ${issue.inclusive ? "over" : "as much as"} ${issue.maximum}.`;
    case "not_multiple_of":
      return "Write a whole number.";
    case "invalid_value":
      return "Choose one of the list.";
    case "invalid_format":
      return issue.format === "date" ? "Write the day like 2026-05-20." : "This cannot be read as it is written.";
    default:
      return "This cannot be read.";
  }
}

/** What is wrong with a value, in a sentence: the schema's own where it has one, else one of its kind; never schema words. */
export function issueSentence(issue: Issue): string {
  return IN_SCHEMA_WORDS.test(issue.message) ? ofItsKind(issue) : issue.message;
}
