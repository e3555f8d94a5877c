import { ActionLink, Bar, Page, PageName, QuietSpan } from "~/ui/theme/parts";
import { EndedCard } from "./EndedCard";

/** A planting whose newest season is over: what can still be said and done. */
export function EndedPage(props: Omit<React.ComponentProps<typeof EndedCard>, "roundId">) {
  const { ended } = props;
  return (
    <Page>
      <Bar alignItems="baseline" gap="2px 14px" marginBottom="8px">
        <PageName>{ended.name}</PageName>
        <QuietSpan>{[ended.bed, ended.stand].filter(Boolean).join(" · ")}</QuietSpan>
      </Bar>
      <EndedCard {...props} roundId={null} />
      <ActionLink href={`/plantings/${ended.id}`} tone="bare" marginTop="14px">
        This planting and its seasons
      </ActionLink>
    </Page>
  );
}
