import { ErrorLine } from "~/ui/forms/Field";

/** What became of something said of a phone. */
export type PhoneAnswer = { id: string; done: string; error: string } | undefined;

export const WhatCame = ({ answer }: { answer: PhoneAnswer }) => (
  <span aria-live="polite">{answer?.error ? <ErrorLine>{answer.error}</ErrorLine> : answer?.done}</span>
);
