import { Box } from "@chakra-ui/react";
import { Form, Link } from "react-router";
import type { FieldErrors } from "~/core/issues";
import { ErrorLine } from "~/ui/forms/Field";
import { SeasonStripView } from "~/ui/life/SeasonStripView";
import { Card } from "~/ui/shell/Card";
import { Fold } from "~/ui/shell/Fold";
import { Action, Bar, Page, PageName, PlainList, QuietSpan } from "~/ui/theme/parts";
import type { PlantingPageView } from "./planting-page";
import { PlantingFields } from "./PlantingFields";
import { WantedDays } from "./WantedDays";
import { Treatments } from "./Treatments";

interface PlantingPageProps {
  page: PlantingPageView;
  errors: FieldErrors;
}

/** One planting: the life it leads, and behind it its facts, its seasons so far, what it was treated with. */
export function PlantingPage({ page, errors }: PlantingPageProps) {
  return (
    <Page width="narrow">
      <PageName marginBottom="12px">{page.crop.name}</PageName>
      {page.life && <SeasonStripView strip={page.life} size="large" />}
      <Fold summary="Change what is known of it" open={page.ended || Object.keys(errors).length > 0}>
        <Form method="post">
          <PlantingFields page={page} errors={errors} />
          {errors.form && <ErrorLine>{errors.form}</ErrorLine>}
          <Bar marginTop="18px">
            <Action tone="loud" name="intent" value="save">
              Save
            </Action>
            <Action tone="bare" name="intent" value="remove">
              Typed by mistake: remove
            </Action>
          </Bar>
        </Form>
      </Fold>
      <Form method="post">
        <Bar marginTop="12px">
          <EndActions ended={page.ended} wentOn={page.wentOn} perennial={page.crop.perennial} />
        </Bar>
      </Form>
      <Box marginTop="22px" display="grid" gap="14px">
        {!page.ended && <WantedDays wanted={page.wanted} today={page.today} />}
        <Seasons seasons={page.seasons} />
        <Treatments treatments={page.treatments} today={page.today} units={page.units} />
      </Box>
      <Bar marginTop="16px">
        <Link to={`/check/${page.row.id}`}>To its check</Link>
        <Link to="/beds">Back to the beds</Link>
      </Bar>
    </Page>
  );
}

function EndActions({ ended, wentOn, perennial }: { ended: boolean; wentOn: boolean; perennial: boolean }) {
  if (ended)
    return (
      <Action name="intent" value="reopen">
        It still grows
      </Action>
    );
  return (
    <>
      {wentOn && (
        <Action name="intent" value="back">
          It did not go on
        </Action>
      )}
      {perennial && (
        <Action name="intent" value="over">
          Over for this year
        </Action>
      )}
      <Action name="intent" value="finish">
        Finished, bed is free
      </Action>
    </>
  );
}

function Seasons({ seasons }: Pick<PlantingPageView, "seasons">) {
  return (
    <Card title="Seasons">
      <PlainList display="grid" gap="4px">
        {seasons.map((s) => (
          <li key={s.id}>
            {s.words}: <QuietSpan>{s.end}</QuietSpan>
          </li>
        ))}
      </PlainList>
    </Card>
  );
}
