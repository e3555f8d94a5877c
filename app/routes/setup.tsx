import { data, redirect } from "react-router";
import type { Route } from "./+types/setup";
import { fieldErrors } from "~/core/issues";
import { GardenForm, isSetUp, setUpHere } from "~/services/garden/set-up-garden.server";
import { fieldsOf } from "./form";
import { SetupPage } from "~/ui/garden/SetupPage";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";

export const meta: Route.MetaFunction = () => [{ title: "A new garden · Akmedon" }];

export function loader() {
  if (isSetUp()) throw redirect("/");
  return { zones: Intl.supportedValuesOf("timeZone"), zone: Intl.DateTimeFormat().resolvedOptions().timeZone };
}

export const action = wholeOrTold(async ({ request }: Route.ActionArgs) => {
  const fields = (await fieldsOf(request)) as Record<string, string>;
  const form = GardenForm.safeParse(fields);
  if (!form.success) return data({ errors: fieldErrors(form.error), typed: fields }, { status: 400 });
  setUpHere(form.data);
  return redirect("/beds");
});

export default function Setup({ loaderData, actionData }: Route.ComponentProps) {
  return <SetupPage {...loaderData} errors={actionData?.errors ?? {}} typed={actionData?.typed ?? {}} />;
}
