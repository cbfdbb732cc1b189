import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { useState } from "react";
import type { ConcernPhrase } from "@mechanon/core";
import { BUSINESS, ME, fakeServer, show } from "../testing/harness";
import { SETTINGS_SAMPLE } from "../testing/samples";
import { PhraseEditor } from "./PhraseEditor";
import type { PickedConcern } from "./pickedConcern";
import { inRecentOrder, useRecentPhrases } from "./recentPhrases";

const PHRASE: ConcernPhrase = {
  id: "hum",
  text: "Hums {when}",
  kind: "fault",
  area: "Engine",
  causes: [],
  corrections: [],
};
const removed = jest.fn();

/** The editor with the concern kept outside, as the picker keeps it. */
function Held({ start, phrase }: { start: PickedConcern; phrase: ConcernPhrase | undefined }) {
  const [concern, setConcern] = useState(start);
  return (
    <PhraseEditor
      concern={concern}
      phrase={phrase}
      gaps={SETTINGS_SAMPLE.concernGaps}
      areas={["Engine", "Brakes"]}
      onChange={setConcern}
      onRemove={removed}
    />
  );
}
const ready: PickedConcern = { text: "Hums", kind: "fault", phraseId: "hum" };
const own: PickedConcern = { text: "Rattles like a tin can", kind: "wish", phraseId: null };
const KEEP = "POST /api/business/concerns";
const CHANGE = "PATCH /api/business/concerns";
const library = { body: { ...BUSINESS, settings: { ...SETTINGS_SAMPLE, concerns: [PHRASE] } } };

it("fills a gap by touch, changes it, and leaves it open again", () => {
  show(<Held start={ready} phrase={PHRASE} />);
  fireEvent.press(screen.getByRole("radio", { name: "when cold" }));
  expect(screen.getByText("“Hums when cold”")).toBeTruthy();
  fireEvent.press(screen.getByRole("radio", { name: "when hot" }));
  expect(screen.getByText("“Hums when hot”")).toBeTruthy();
  fireEvent.press(screen.getByRole("radio", { name: "when hot" }));
  expect(screen.getByText("“Hums”")).toBeTruthy();
});

it("changes the words for this once; the owner for good", async () => {
  const server = fakeServer({ "GET /api/business": library, [CHANGE]: { body: SETTINGS_SAMPLE } });
  show(<Held start={ready} phrase={PHRASE} />, { rights: [...ME.rights, "settings"] });
  fireEvent.press(screen.getByRole("button", { name: "Change the words" }));
  expect(screen.queryByRole("button", { name: "Change it for every call" })).toBeNull();
  fireEvent.changeText(screen.getByLabelText("Words for this once"), "Hums loudly ");
  expect(screen.getByText("“Hums loudly ”")).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: "Change it for every call" }));
  expect(await screen.findByText("Kept in the library.")).toBeTruthy();
  expect(server.asked.find(({ method }) => method === "PATCH")?.body).toEqual({
    version: 1,
    concerns: [{ from: PHRASE, to: { ...PHRASE, text: "Hums loudly" } }],
    concernGaps: [],
  });
});

it("lets others keep changed words as a phrase of its own only", async () => {
  const server = fakeServer({ [KEEP]: { body: PHRASE } });
  show(<Held start={ready} phrase={PHRASE} />);
  fireEvent.press(screen.getByRole("button", { name: "Change the words" }));
  fireEvent.changeText(screen.getByLabelText("Words for this once"), "Hums loudly");
  fireEvent.press(screen.getByRole("button", { name: "Offer these words next time" }));
  fireEvent.press(screen.getByRole("radio", { name: "Brakes" }));
  await waitFor(() =>
    expect(server.asked[0]?.body).toMatchObject({
      text: "Hums loudly",
      kind: "fault",
      area: "Brakes",
    }),
  );
});

it("keeps own words with their kind, says when that failed, and takes them off", async () => {
  fakeServer({ [KEEP]: "down" });
  show(<Held start={own} phrase={undefined} />);
  fireEvent.press(screen.getByRole("button", { name: "Offer these words next time" }));
  fireEvent.press(screen.getByRole("radio", { name: "Engine" }));
  fireEvent.press(screen.getByRole("radio", { name: "Something is wrong" }));
  expect(screen.getByRole("radio", { name: "Something is wrong" })).toBeChecked();
  expect(await screen.findByText(/No connection to the server/)).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: "Remove" }));
  expect(removed).toHaveBeenCalled();
});

it("puts the phrases picked last first, each once", () => {
  const { note } = useRecentPhrases.getState();
  for (const id of ["a", "b", "a", "c"]) note(id);
  const { recent } = useRecentPhrases.getState();
  expect(recent.slice(0, 3)).toEqual(["c", "a", "b"]);
  expect(inRecentOrder([{ id: "x" }, { id: "a" }, { id: "y" }, { id: "c" }], recent).map(({ id }) => id)).toEqual([
    "c",
    "a",
    "x",
    "y",
  ]);
});
