import { useEffect, useRef, useState } from "react";
import { useRevalidator } from "react-router";
import type { WalkerAt, WhoIsWhere } from "~/views/round/walker";

/** How often a phone on the walk says where it is: our judgement. */
const EVERY_MS = 15_000;

const NAME = "name on the walk";

/** By what this tab is told from the others, over a reload. */
function nameOfTab(): string {
  const name = sessionStorage.getItem(NAME) ?? crypto.randomUUID();
  sessionStorage.setItem(NAME, name);
  return name;
}

async function say(plantingId: string | null, keepalive = false): Promise<WhoIsWhere | null> {
  const answer = await fetch("/here", {
    method: "POST",
    headers: { "Content-Type": "application/json" },
    body: JSON.stringify({ device: nameOfTab(), plantingId }),
    keepalive,
  });
  return answer.ok ? ((await answer.json()) as WhoIsWhere) : null;
}

/**
 * Who else walks, and where: this phone says where it is, and hears of the others. What they logged meanwhile is fetched.
 * Without signal nobody is known of.
 */
export function useOthers(plantingId: string | undefined): WalkerAt[] {
  const [others, setOthers] = useState<WalkerAt[]>([]);
  const { revalidate } = useRevalidator();
  const as = useRef<string | null>(null);
  useEffect(() => {
    if (!plantingId) return;
    let isHere = true;
    const tell = async () => {
      if (document.visibilityState !== "visible") return;
      const where = await say(plantingId).catch(() => null);
      if (!isHere) return;
      setOthers(where?.others ?? []);
      if (!where) return;
      const isNews = as.current !== null && as.current !== where.as;
      as.current = where.as;
      // Alone, what changed is one's own, and is fetched where it is sent.
      if (isNews && where.others.length > 0) void revalidate();
    };
    void tell();
    const timer = setInterval(() => void tell(), EVERY_MS);
    return () => {
      isHere = false;
      clearInterval(timer);
    };
  }, [plantingId, revalidate]);
  // Whoever leaves the walk says so; a phone that was put out is not heard of any more.
  useEffect(() => () => void say(null, true).catch(() => undefined), []);
  return others;
}
