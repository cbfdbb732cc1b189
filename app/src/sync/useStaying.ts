import { useState } from "react";

/**
 * What was shown from this device, until the server's is here: between the moment it is sent and the answer there is
 * neither.
 * @param here - what is made on this device now; the same object as long as nothing changed.
 */
export function useStaying<T>(id: string | null | undefined, here: T | undefined): T | undefined {
  const [last, setLast] = useState<{ id: string | null | undefined; here: T }>();
  if (here !== undefined && (last?.here !== here || last.id !== id)) setLast({ id, here });
  return here ?? (last?.id === id ? last?.here : undefined);
}
