import { useEffect } from "react";

/** Keeps the screen awake while it is shown, where the browser can; what it lets go it is asked for again. */
export function useAwake(): void {
  useEffect(() => {
    if (!("wakeLock" in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    let isOpen = true;
    const hold = async () => {
      if (document.visibilityState !== "visible") return;
      // A battery that runs low refuses it: the round goes on without.
      lock = await navigator.wakeLock.request("screen").catch(() => undefined);
      if (!isOpen) await lock?.release();
    };
    const again = () => void hold();
    again();
    document.addEventListener("visibilitychange", again);
    return () => {
      isOpen = false;
      document.removeEventListener("visibilitychange", again);
      void lock?.release();
    };
  }, []);
}
