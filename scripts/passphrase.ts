import { createInterface } from "node:readline/promises";
import { Writable } from "node:stream";
import { requestDb } from "~/db/client.server";
import { setPassphrase } from "~/services/access/passphrase.server";

/** Asks for the household's passphrase, unseen and twice, or takes it from a pipe; phones that were in give it anew. */
async function typed(): Promise<string> {
  const unseen = new Writable({ write: (_chunk, _encoding, done) => done() });
  const lines = createInterface({ input: process.stdin, output: process.stdin.isTTY ? unseen : undefined, terminal: process.stdin.isTTY }); // prettier-ignore
  if (!process.stdin.isTTY) {
    for await (const line of lines) return line;
    return "";
  }
  const ask = async (words: string) => {
    process.stdout.write(words);
    const answer = await lines.question("");
    process.stdout.write("\n");
    return answer;
  };
  const once = await ask("The household's passphrase, at least 12 characters (four words do): ");
  const again = await ask("Once more: ");
  lines.close();
  if (once !== again) throw new Error("The two are not the same; nothing was changed.");
  return once;
}

try {
  const outcome = await setPassphrase(requestDb(), await typed(), new Date());
  if (outcome.status === "refused") throw new Error(outcome.sentence);
  console.log("The passphrase is set. Phones that were in give it once more.");
  process.exit(0);
} catch (error) {
  console.error((error as Error).message);
  process.exit(1);
}
