import { Choice } from "~/ui/theme/parts";

export type Kinds = { kind: string; label: string }[];

/** What a bed is. */
export function KindChoice({ ids, kinds, value }: { ids: object; kinds: Kinds; value?: string }) {
  return (
    <Choice {...ids} name="kind" defaultValue={value ?? "raised"}>
      {kinds.map((k) => (
        <option key={k.kind} value={k.kind}>
          {k.label}
        </option>
      ))}
    </Choice>
  );
}
