import { useFetcher } from "react-router";
import type { SkyAnswer } from "~/views/sky/sky-answer";

/** A form of the sky page with its own answer: what is wrong by field, and what was done. */
export function useSkyDesk() {
  const fetcher = useFetcher<SkyAnswer>();
  return {
    fetcher,
    Form: fetcher.Form,
    answer: fetcher.data,
    errors: fetcher.data?.errors ?? {},
    busy: fetcher.state !== "idle",
  };
}
