import { useCallback } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { useFetcher } from "react-router";
import type { JobTold } from "~/views/sentences/acts-due";
import type { HorizonView } from "~/views/horizon/horizon-view";

/** The start page with what can be undone and done again, and the jobs beside picking. */
export type HorizonPageView = HorizonView & {
  edits: { undo: string | null; redo: string | null };
  jobs: { due: JobTold[]; marked: (JobTold & { isSkipped: boolean })[] };
};

export interface EditTold {
  status: "noted" | "refused";
  sentence: string;
}

/** Sends acts on the plan, tells what came of the last one, and undoes and redoes by keys. */
export function usePlanEdits({ edits }: HorizonPageView) {
  const fetcher = useFetcher<EditTold>();
  const { submit } = fetcher;
  const act = useCallback((fields: Record<string, string>) => void submit(fields, { method: "post", action: "/?index" }), [submit]); // prettier-ignore
  useHotkeys("mod+z", () => act({ intent: "undo" }), { enabled: edits.undo !== null, preventDefault: true });
  useHotkeys("mod+shift+z, mod+y", () => act({ intent: "redo" }), { enabled: edits.redo !== null, preventDefault: true }); // prettier-ignore
  return { act, isBusy: fetcher.state !== "idle", told: fetcher.state === "idle" ? fetcher.data : undefined };
}
