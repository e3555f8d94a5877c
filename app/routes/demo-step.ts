import { data, redirect } from "react-router";
import { z } from "zod";
import type { Route } from "./+types/demo-step";
import { stepDemo } from "~/services/demo/step-demo.server";
import { formOf } from "./form";
import { pageOfOurs } from "./our-page";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";

const Days = z.coerce.number().int().min(1).max(30);

export const action = wholeOrTold(async ({ request }: Route.ActionArgs) => {
  const form = await formOf(request);
  const days = Days.safeParse(form.get("days"));
  const back = pageOfOurs(String(form.get("back") ?? "/"));
  if (!days.success) throw data("The demo steps 1 to 30 days at a time.", { status: 400 });
  const outcome = await stepDemo(days.data);
  if (outcome === "not the demo") throw data("Only the demo's clock can be stepped.", { status: 403 });
  return redirect(back);
});
