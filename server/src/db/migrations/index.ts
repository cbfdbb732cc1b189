import * as firstVisit from "./0001-first-visit";
import * as people from "./0002-people";
import * as transfer from "./0003-transfer";
import * as cars from "./0004-cars";
import * as mergedDrivers from "./0005-merged-drivers";
import * as nearWords from "./0006-near-words";
import * as ground from "./0007-ground";
import * as photos from "./0008-photos";
import * as guard from "./0009-guard";
import * as call from "./0010-call";

/** All migrations, oldest first. A landed one is never changed; a new one follows it. */
export const MIGRATIONS: { name: string; sql: string }[] = [
  { name: "0001-first-visit", sql: firstVisit.up },
  { name: "0002-people", sql: people.up },
  { name: "0003-transfer", sql: transfer.up },
  { name: "0004-cars", sql: cars.up },
  { name: "0005-merged-drivers", sql: mergedDrivers.up },
  { name: "0006-near-words", sql: nearWords.up },
  { name: "0007-ground", sql: ground.up },
  { name: "0008-photos", sql: photos.up },
  { name: "0009-guard", sql: guard.up },
  { name: "0010-call", sql: call.up },
];
