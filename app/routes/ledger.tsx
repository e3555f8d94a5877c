import { data } from "react-router";
import { z } from "zod";
import type { Route } from "./+types/ledger";
import { fieldErrors, type FieldErrors } from "~/core/issues";
import { knownGarden } from "~/services/garden/known-garden.server";
import { ContainerForm, addContainer, removeContainer } from "~/services/ledger/containers.server";
import { LedgerQuery, ledgerPage } from "~/services/ledger/ledger-page.server";
import { LedgerPage } from "~/ui/ledger/LedgerPage";
import { fieldsOf } from "./form";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";

export const meta: Route.MetaFunction = () => [{ title: "Ledger · Akmedon" }];

export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  return ledgerPage(db, garden, LedgerQuery.parse(Object.fromEntries(new URL(request.url).searchParams)));
}

const Intent = z.enum(["add container", "remove container"]);

export const action = wholeOrTold(async ({ request }: Route.ActionArgs) => {
  const { db } = knownGarden();
  const fields = await fieldsOf(request);
  const intent = Intent.safeParse(fields.intent);
  if (!intent.success) throw data("That is not something the ledger can do.", { status: 400 });
  const refuse = (errors: FieldErrors) => data({ errors, done: "" }, { status: 400 });
  if (intent.data === "remove container")
    return removeContainer(db, String(fields.id)) ? data({ errors: {} as FieldErrors, done: "Out of use." }) : refuse({ form: "This container is no longer there." }); // prettier-ignore
  const form = ContainerForm.safeParse(fields);
  if (!form.success) return refuse(fieldErrors(form.error));
  const outcome = addContainer(db, form.data);
  return outcome.status === "refused" ? refuse(outcome.errors) : data({ errors: {} as FieldErrors, done: `${form.data.name} is kept.` }); // prettier-ignore
});

export default function Ledger({ loaderData }: Route.ComponentProps) {
  return <LedgerPage {...loaderData} />;
}
