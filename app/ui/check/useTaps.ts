import { useCallback } from "react";
import type { CheckView } from "~/views/check/check-view";
import { useJudge } from "./useJudge";
import type { LookDetail, useLooks } from "./useLooks";

/** A tap on a cue: it is sent, and the verdict moves with it where the judge in the page can tell. */
export function useTaps(view: CheckView, { tap, waiting }: Pick<ReturnType<typeof useLooks>, "tap" | "waiting">) {
  const { shown, isTold, judge, forget } = useJudge(view, waiting);
  const onTap = useCallback(
    (cueId: string, readingId: string, detail: LookDetail = {}) => {
      const { sampleOf, measuredMm, share } = detail;
      // Of shares the server's answer shows how they stand side by side.
      if (share !== undefined) forget();
    else judge({ cueId, readingId: readingId || null, ...(sampleOf && sampleOf > 1 ? { sampleOf } : {}), ...(measuredMm ? { measuredMm } : {}) }); // prettier-ignore
      void tap(cueId, readingId, detail).then((status) => status === "refused" && forget());
    },
    [tap, judge, forget],
  );
  return { shown, isTold, onTap };
}
