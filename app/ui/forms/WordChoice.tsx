import { Choice } from "~/ui/theme/parts";

type ChoiceProps = React.ComponentProps<typeof Choice>;

/** One of a few words. */
export function WordChoice({ words, ...props }: ChoiceProps & { words: readonly string[] }) {
  return (
    <Choice {...props}>
      {words.map((word) => (
        <option key={word}>{word}</option>
      ))}
    </Choice>
  );
}
