import { chakra } from "@chakra-ui/react";
import { useEffect } from "react";
import { useRevalidator } from "react-router";
import { Quiet } from "~/ui/theme/parts";

/** A page that stands before the first plan of a start: it asks for itself, and is there once the plan is. */
export function Planning() {
  const { revalidate } = useRevalidator();
  useEffect(() => void revalidate(), [revalidate]);
  return (
    <chakra.div role="status" padding={{ base: "24px 16px", md: "40px 28px" }} display="grid" gap="8px">
      <chakra.h1 fontSize="1.6rem">Judging each planting and planning the picks …</chakra.h1>
      <Quiet>Akmedon has just been started. This page opens by itself in a few seconds.</Quiet>
    </chakra.div>
  );
}
