import { QueryTypes } from "sequelize";
import { v7 as uuid } from "uuid";
import { shownQuoteOf } from "@mechanon/core";
import type { AgreedCopy, BusinessView, WorkOrderView } from "@mechanon/contract";
import { jpegOf } from "../testing/pictures";
import { sendCommand, startTestServer, type TestPerson, type TestServer } from "../testing/testServer";
import { proveAgreed, type AgreedFault } from "./proveAgreed";

let server: TestServer;
let odile: TestPerson;
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());

const prove = async (): Promise<AgreedFault["fault"][]> => {
  const found: AgreedFault["fault"][] = [];
  await proveAgreed(server.running.deps.config.databaseOwnerUrl, ({ fault }) => found.push(fault));
  return found;
};
const send = (photoId: string) =>
  odile.send("POST", `/api/photos/${photoId}`, new Uint8Array(jpegOf()), { "Content-Type": "image/jpeg" });

it("freezes the checksum of a photo that arrives after the answer it was shown with, once, and it proves", async () => {
  const [workOrderId, jobId, photoId, approvalId] = [uuid(), uuid(), uuid(), uuid()];
  await sendCommand(odile, workOrderId, { type: "openWorkOrder", customerId: null, vehicleId: null, concerns: [] });
  await sendCommand(odile, workOrderId, {
    ...{ type: "gradePoint", pointId: "frontPads", grade: "unsafe", measures: {}, note: "" },
  });
  await sendCommand(odile, workOrderId, {
    ...{ type: "attachPhoto", photoId, media: "photo", of: "point", id: "frontPads", moment: null, drawnOn: null },
  });
  await sendCommand(odile, workOrderId, { type: "addOwnJob", jobId, title: "Pads", concernId: null });
  await sendCommand(odile, workOrderId, {
    ...{ type: "addLine", jobId },
    line: {
      ...{ id: uuid(), kind: "labor", description: "Pads", hours: 1, rateCents: 10_000, wageCents: 1, paidHours: null },
    },
  });
  const { settings } = (await odile.get<BusinessView>("/api/business")).body;
  const { state } = (await odile.get<WorkOrderView>(`/api/work-orders/${workOrderId}`)).body;
  const shown = shownQuoteOf(state, {
    ...{ points: settings.inspection, before: [], specs: {}, language: "en", papers: settings.papers },
    checksums: new Map(),
  });
  expect(shown.photos).toEqual([{ id: photoId, pointId: "frontPads", checksum: null }]);
  const answer = {
    ...{ type: "recordAnswers", approvalId, way: "signed", name: "Maren", signature: [[1, 1, 2, 2]] },
    ...{ totalCents: 10_000, shown, answers: [{ jobId, title: "Pads", answer: "yes", totalCents: 10_000 }] },
  };
  await sendCommand(odile, workOrderId, answer);
  await send(photoId);
  await send(photoId);
  await send(uuid());

  const { copies } = (await odile.get<{ copies: AgreedCopy[] }>(`/api/work-orders/${workOrderId}/agreed`)).body;
  expect(copies.map(({ facts }) => [facts.of, facts.completes])).toEqual([
    ["answer", undefined],
    ["photo", approvalId],
  ]);
  const [{ checksum } = { checksum: "" }] = await server.db.query<{ checksum: string }>(
    `select checksum from photos where id = '${photoId}'`,
    { type: QueryTypes.SELECT },
  );
  expect(copies[1]?.photos).toEqual([{ id: photoId, pointId: "frontPads", checksum }]);
  expect(await prove()).toEqual([]);
  await server.db.query(`update photos set checksum = 'another' where id = '${photoId}'`);
  expect(await prove()).toEqual(["photo"]);
});
