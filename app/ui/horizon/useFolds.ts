import { useCallback, useEffect, useState } from "react";

const KEY = "folded beds";

/** Beds that are folded away on this device. */
export function useFolds(): { isFolded: (bedId: string) => boolean; turn: (bedId: string) => void } {
  const [folded, setFolded] = useState<readonly string[]>([]);
  useEffect(() => setFolded((localStorage.getItem(KEY) ?? "").split("\n").filter(Boolean)), []);
  const turn = useCallback((bedId: string) => {
    setFolded((before) => {
      const after = before.includes(bedId) ? before.filter((id) => id !== bedId) : [...before, bedId];
      localStorage.setItem(KEY, after.join("\n"));
      return after;
    });
  }, []);
  return { isFolded: (bedId) => folded.includes(bedId), turn };
}
