import { listPeople } from "../access/routes";
import { AppError } from "../errors/appError";

/** @throws {AppError} `mechanic/not-found` for somebody who does not drive to customers here. */
export async function requireMechanic(businessId: string, personId: string): Promise<void> {
  const people = await listPeople(businessId);
  if (!people.some(({ id, isMechanic }) => id === personId && isMechanic))
    throw new AppError(
      "mechanic/not-found",
      "Nobody with that id drives to customers. Nothing was changed; pick a mechanic.",
    );
}
