import { useCallback, useEffect, useRef, useState } from "react";
import type { EntryBody } from "~/core/entries";
import { useOutbox, type SendResult } from "./OutboxProvider";

/**
 * Sends what a form holds (what shows before it is sent, `sayHere` says); `onWritten` hears once it is safe on the device. While the form is open its refusal is put right there and said there only; when the form
 * goes, before or after the answer, the refusal stands with what waits.
 */
export function useFormSender() {
  const { send, putRight, holdInForm } = useOutbox();
  const [refusedId, setRefusedId] = useState<string | null>(null);
  const [errors, setErrors] = useState<Record<string, string>>({});
  const held = useRef<string | null>(null);
  const open = useRef(true);
  const release = useCallback(() => {
    if (held.current) holdInForm(held.current, false);
    held.current = null;
  }, [holdInForm]);
  useEffect(() => {
    open.current = true;
    return () => {
      open.current = false;
      release();
    };
  }, [release]);

  const hold = (id: string) => {
    if (!open.current) return;
    held.current = id;
    holdInForm(id, true);
  };
  const sendForm = async (
    body: EntryBody,
    words: string,
    onWritten: (id: string) => void = () => undefined,
  ): Promise<SendResult> => {
    setErrors({});
    const written = (id: string) => {
      hold(id);
      onWritten(id);
    };
    if (refusedId) onWritten(refusedId);
    const result = refusedId ? await putRight(refusedId, body, words) : await send(body, words, written);
    if (result.status === "refused") {
      setErrors(Object.keys(result.fields).length > 0 ? result.fields : { form: result.sentence });
      setRefusedId(result.id);
    } else {
      setRefusedId(null);
      release();
    }
    return result;
  };
  return { sendForm, errors, sayHere: setErrors };
}
