import { useEffect, useSyncExternalStore } from "react";

const KEY = "sun";
const heard = new Set<() => void>();

const isKept = () => {
  try {
    return localStorage.getItem(KEY) === "on";
  } catch {
    return false;
  }
};
let isOn: boolean | undefined;

const subscribe = (hear: () => void) => {
  heard.add(hear);
  return () => heard.delete(hear);
};

/** Black on white for a screen in the sun: whether it is on, and how it is turned; remembered on this device. */
export function useSun(): [boolean, () => void] {
  const on = useSyncExternalStore(subscribe, () => (isOn ??= isKept()), () => false); // prettier-ignore
  useEffect(() => {
    document.documentElement.toggleAttribute("data-sun", on);
  }, [on]);
  const turn = () => {
    isOn = !on;
    try {
      localStorage.setItem(KEY, isOn ? "on" : "off");
    } catch {
      // A browser that keeps nothing forgets it with the page.
    }
    for (const hear of heard) hear();
  };
  return [on, turn];
}
