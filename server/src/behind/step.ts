import type { PoolClient } from "pg";

/** How far a step got; what it needs to go on. */
export type Progress = Readonly<Record<string, unknown>>;

/** Something a migration leaves to be done behind the listening server: too much for a start to wait for. */
export interface BehindStep {
  name: string;
  /**
   * Does a part of it: quick, and harmless where it was done before, since a killed server does its last part again.
   * @returns How far it got; null: it is done.
   */
  run(client: PoolClient, at: Progress): Promise<Progress | null>;
}
