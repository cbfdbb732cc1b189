import { businessView } from "@mechanon/contract";
import { BUSINESS } from "../testing/harness";
import { businessForward, settingsForward } from "./settingsForward";

/** As yesterday's app kept it: a point had one measure at the most, and there were no sheets. */
function before(): object {
  const { settings, ...rest } = BUSINESS;
  const { sheets: _sheets, ...others } = settings;
  const limits = { unit: "mm", step: 0.5, start: 7, most: 14, watchBelow: 5, actBelow: 3 };
  const inspection = [
    { id: "pads", title: "Front brake pads", area: "Brakes", measure: { name: "Pad", ...limits } },
    { id: "oil", title: "Engine oil", area: "Fluids", measure: null },
  ];
  const concerns = [{ id: "grind", text: "Brakes grind", kind: "fault", area: "Brakes" }];
  // Nor was anybody reminded of a quote.
  const { nudgeDays: _nudgeDays, kinds, ...told } = settings.messages;
  const { nudge: _nudge, ...kindsBefore } = kinds;
  return { ...rest, settings: { ...others, inspection, concerns, messages: { ...told, kinds: kindsBefore } } };
}

it("opens what yesterday's app kept of the business, so that it starts without a signal", () => {
  expect(businessView.safeParse(before()).success).toBe(false);
  const { settings } = businessView.parse(businessForward(before()));
  expect(settings.sheets[0]).toMatchObject({ id: "own", pointIds: ["pads", "oil"], comes: { always: true } });
  expect(settings.inspection[0]?.measures).toMatchObject([{ key: "value", kind: "pad", actBelow: 3 }]);
  expect(settings.concerns[0]).toMatchObject({ causes: [], corrections: [] });
  expect(settings.messages).toEqual(BUSINESS.settings.messages);
});

it("leaves today's as it is, and what is none alone", () => {
  const now = businessView.parse(BUSINESS);
  expect(businessView.parse(businessForward(now))).toEqual(now);
  expect([businessForward(null), settingsForward("x")]).toEqual([null, "x"]);
});
