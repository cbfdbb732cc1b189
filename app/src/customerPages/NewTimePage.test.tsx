import { fireEvent, screen } from "@testing-library/react-native";
import type { NewTime } from "@mechanon/contract";
import { fakeServer, problemReply, show } from "../testing/harness";
import { LanguageProvider } from "./language";
import { NewTimePage } from "./NewTimePage";

const newTime = (over: Partial<NewTime> = {}): NewTime => ({
  businessName: "Larkhaven Driveway Garage",
  businessPhone: "+13605550100",
  timeZone: "America/Los_Angeles",
  mechanic: "Tomas",
  forGap: false,
  language: "en",
  fromStartsAt: "2026-12-03T17:00:00.000Z",
  startsAt: "2026-12-05T18:00:00.000Z",
  answerBy: "2026-12-02T01:00:00.000Z",
  answer: null,
  isOver: false,
  ...over,
});
const PATH = "/api/public/new-times/abc";

it("takes a yes, and says who comes when", async () => {
  const server = fakeServer({
    [`GET ${PATH}`]: { body: newTime() },
    [`POST ${PATH}`]: { body: newTime({ answer: "yes" }) },
  });
  show(
    <LanguageProvider>
      <NewTimePage token="abc" />
    </LanguageProvider>,
  );
  expect(await screen.findByText("Could we come Sat Dec 5, 10:00 am instead?")).toBeTruthy();
  fireEvent.press(screen.getByTestId("say-yes"));
  expect(await screen.findByText("Tomas comes Sat Dec 5, 10:00 am. Nothing else is needed.")).toBeTruthy();
  expect(server.asked.at(-1)?.body).toEqual({ answer: "yes" });
  expect(screen.queryByTestId("say-no")).toBeNull();
});

it("takes a no, and says that it stays", async () => {
  fakeServer({ [`GET ${PATH}`]: { body: newTime() }, [`POST ${PATH}`]: { body: newTime({ answer: "no" }) } });
  show(
    <LanguageProvider>
      <NewTimePage token="abc" />
    </LanguageProvider>,
  );
  fireEvent.press(await screen.findByTestId("say-no"));
  expect(await screen.findByText(/^We come Thu Dec 3, 9:00 am, as it was/)).toBeTruthy();
});

it("says when it is too late, whom to call, and why an answer was not taken", async () => {
  let isOver = false;
  fakeServer({
    [`GET ${PATH}`]: () => ({ body: newTime({ isOver }) }),
    [`POST ${PATH}`]: () => {
      isOver = true;
      return problemReply(409, "ask/over", "The time is taken by now.");
    },
  });
  show(
    <LanguageProvider>
      <NewTimePage token="abc" />
    </LanguageProvider>,
  );
  fireEvent.press(await screen.findByTestId("say-yes"));
  expect(await screen.findByText("Too late to answer here")).toBeTruthy();
  expect(screen.getByText(/\(360\) 555-0100/)).toBeTruthy();
});
