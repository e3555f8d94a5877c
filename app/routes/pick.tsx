import { data, redirect } from "react-router";
import { z } from "zod";
import type { Route } from "./+types/pick";
import { fieldErrors, type FieldErrors } from "~/core/issues";
import { todayOf } from "~/services/garden/clock.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { LotForm, changeLot } from "~/services/ledger/change-lot.server";
import { CorrectionForm, correctPick, withdrawPick } from "~/services/ledger/correct-pick.server";
import { linePage } from "~/services/ledger/line-page.server";
import { LinePage } from "~/ui/ledger/LinePage";
import { fieldsOf } from "./form";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";

export const meta: Route.MetaFunction = () => [{ title: "A line of the ledger · Akmedon" }];

export function loader({ params }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const page = linePage(db, garden, params.pickId);
  if (!page) throw data("This line is not in the ledger.", { status: 404 });
  return page;
}

const Intent = z.enum(["save", "withdraw", "put back", "change lot"]);

export const action = wholeOrTold(async ({ request, params }: Route.ActionArgs) => {
  const { db, garden } = knownGarden();
  const fields = await fieldsOf(request);
  const intent = Intent.safeParse(fields.intent);
  if (!intent.success) throw data("That is not something a line of the ledger can do.", { status: 400 });
  const today = todayOf(garden);
  const refuse = (at: "line" | "lot", errors: FieldErrors) => data({ at, errors }, { status: 400 });
  switch (intent.data) {
    case "withdraw":
    case "put back":
      if (!withdrawPick(db, params.pickId, intent.data === "put back"))
        throw data("This line is not in the ledger.", { status: 404 });
      return redirect("/ledger");
    case "change lot": {
      const form = LotForm.safeParse(fields);
      if (!form.success) return refuse("lot", fieldErrors(form.error));
      const outcome = changeLot(db, form.data, today);
      return outcome.status === "refused" ? refuse("lot", outcome.fields) : data({ at: "lot" as const, errors: {} as FieldErrors }); // prettier-ignore
    }
    case "save": {
      const form = CorrectionForm.safeParse(fields);
      if (!form.success) return refuse("line", fieldErrors(form.error));
      const outcome = correctPick(db, params.pickId, form.data, today);
      return outcome.status === "refused" ? refuse("line", outcome.fields) : redirect("/ledger");
    }
  }
});

export default function Line({ loaderData, actionData }: Route.ComponentProps) {
  return <LinePage page={loaderData} answer={actionData} />;
}
