import { data, redirect } from "react-router";
import { z } from "zod";
import type { Route } from "./+types/demo-step";
import { stepDemo } from "~/services/demo/step-demo.server";
import { formOf } from "./form";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";

const Days = z.coerce.number().int().min(1).max(30);

/** The page to go back to; an address that a browser would take for another site's is the start page. */
function pageOfOurs(back: string): string {
  const here = "http://here.invalid";
  const asked = URL.canParse(back, here) ? new URL(back, here) : undefined;
  return asked?.origin === here ? asked.pathname + asked.search : "/";
}

export const action = wholeOrTold(async ({ request }: Route.ActionArgs) => {
  const form = await formOf(request);
  const days = Days.safeParse(form.get("days"));
  const back = pageOfOurs(String(form.get("back") ?? "/"));
  if (!days.success) throw data("The demo steps 1 to 30 days at a time.", { status: 400 });
  const outcome = await stepDemo(days.data);
  if (outcome === "not the demo") throw data("Only the demo's clock can be stepped.", { status: 403 });
  return redirect(back);
});
