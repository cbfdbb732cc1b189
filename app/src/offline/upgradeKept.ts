import { z } from "zod";
import { libraryJob } from "@mechanon/core";
import { keptOf, keep } from "./orKept";

const withLibrary = z.looseObject({ library: z.array(libraryJob) });

/** Brings what yesterday's app kept on this device forward: the job library was kept as part of the business then. */
export function upgradeKept(): void {
  const business = withLibrary.safeParse(keptOf("business"));
  if (!business.success || keptOf("library") !== undefined) return;
  // Of no known version: the server's is asked for as soon as it can be.
  keep("library", { version: 0, library: business.data.library });
}
