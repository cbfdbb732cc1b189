import before from "../testing/samples/messages.v1.json";
import { USUAL_MESSAGES, messageSettings, upgradeMessages } from "./messageSettings";

it("what was stored before there were reminders opens with the usual ones, and all that was set", () => {
  const upgraded = messageSettings.parse(upgradeMessages(before));
  expect(upgraded).toMatchObject({ dayBeforeMinute: 960, lateMinutes: 20, nudgeDays: USUAL_MESSAGES.nudgeDays });
  expect(upgraded.kinds.booked).toEqual(before.kinds.booked);
  expect(upgraded.kinds.nudge).toEqual(USUAL_MESSAGES.kinds.nudge);
});

it("what is current comes back as it is, and what is none is left to be refused", () => {
  const current = { ...USUAL_MESSAGES, nudgeDays: [] };
  expect(upgradeMessages(current)).toEqual(current);
  expect(upgradeMessages("none")).toBe("none");
});
