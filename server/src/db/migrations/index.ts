import * as firstVisit from "./0001-first-visit";
import * as people from "./0002-people";
import * as transfer from "./0003-transfer";
import * as cars from "./0004-cars";
import * as mergedDrivers from "./0005-merged-drivers";
import * as nearWords from "./0006-near-words";
import * as ground from "./0007-ground";
import * as photos from "./0008-photos";
import * as inspection from "./0019-inspection";
import * as answers from "./0020-answers";
import * as papers from "./0021-papers";
import * as guard from "./0009-guard";
import * as call from "./0010-call";
import * as rights from "./0011-rights";
import * as deviceKeys from "./0012-device-keys";
import * as toldChanges from "./0013-told-changes";
import * as supplierPhones from "./0014-supplier-phones";
import * as photoPieces from "./0015-photo-pieces";
import * as libraryChanges from "./0016-library-changes";
import * as booking from "./0017-booking";
import * as requests from "./0018-requests";

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
  { name: "0011-rights", sql: rights.up },
  { name: "0012-device-keys", sql: deviceKeys.up },
  { name: "0013-told-changes", sql: toldChanges.up },
  { name: "0014-supplier-phones", sql: supplierPhones.up },
  { name: "0015-photo-pieces", sql: photoPieces.up },
  { name: "0016-library-changes", sql: libraryChanges.up },
  { name: "0017-booking", sql: booking.up },
  { name: "0018-requests", sql: requests.up },
  { name: "0019-inspection", sql: inspection.up },
  { name: "0020-answers", sql: answers.up },
  { name: "0021-papers", sql: papers.up },
];
