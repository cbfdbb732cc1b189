import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { fakeServer, problemReply, show } from "../testing/harness";
import { SETTINGS_SAMPLE } from "../testing/samples";
import { RequestSettings } from "./RequestSettings";
import { originsOf, readRequests, requestsOf, typedRequestsOf } from "./typedRequests";

const PAGE = { slug: "larkhaven", url: "https://garage.example/ask/larkhaven" };
const patched = (server: ReturnType<typeof fakeServer>): unknown[] =>
  server.asked.filter(({ method }) => method === "PATCH").map(({ body }) => body);

it("keeps wishes in both languages, the terms and the pages that may show it inside", async () => {
  const server = fakeServer({
    "GET /api/ask-page": { body: PAGE },
    "PATCH /api/business/requests": { body: SETTINGS_SAMPLE.requests },
  });
  show(<RequestSettings />);
  expect(await screen.findByText(PAGE.url)).toBeTruthy();
  expect(screen.getByText(/^<iframe src="https:\/\/garage.example\/ask\/larkhaven"/)).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: "Add a wish" }));
  fireEvent.changeText(screen.getByLabelText("In English"), "Wipers");
  fireEvent.changeText(screen.getByLabelText(/^Their fronts/), "https://Www.Example.com/ ftp://x");
  fireEvent.press(screen.getByTestId("save-requests"));
  expect(await screen.findByText(/needs its words/)).toBeTruthy();
  expect(screen.getByText(/“ftp:\/\/x” reads like no page/)).toBeTruthy();
  expect(patched(server)).toEqual([]);
  fireEvent.changeText(screen.getByLabelText("In Spanish"), "Limpiaparabrisas");
  fireEvent.changeText(screen.getByLabelText(/^Their fronts/), "https://Www.Example.com/");
  fireEvent.changeText(screen.getByLabelText(/^Finding out/), "95");
  fireEvent.press(screen.getByTestId("save-requests"));
  await waitFor(() => expect(patched(server)).toHaveLength(1));
  expect(patched(server)[0]).toMatchObject({
    requests: [
      {
        to: {
          wishes: [{ en: "Wipers", es: "Limpiaparabrisas", phraseId: null, jobId: null }],
          ...{ diagnosisCents: 9500, allowedOrigins: ["https://www.example.com"] },
        },
      },
    ],
  });
});

it("gives the page another name, and says whose it is already", async () => {
  const taken = problemReply(409, "slug/taken", "“harbor” is another business's already.");
  fakeServer({ "GET /api/ask-page": { body: PAGE }, "POST /api/ask-page": taken });
  show(<RequestSettings />);
  fireEvent.press(await screen.findByRole("button", { name: "Give the page another name" }));
  fireEvent.changeText(screen.getByLabelText(/^Its name/), "Harbor");
  fireEvent.press(screen.getByRole("button", { name: "Rename the page" }));
  expect(await screen.findByText(/another business's already/)).toBeTruthy();
  expect(screen.getByDisplayValue("Harbor")).toBeTruthy();
});

it("reads back what it shows", () => {
  expect(requestsOf(readRequests.parse(typedRequestsOf(SETTINGS_SAMPLE)))).toEqual(SETTINGS_SAMPLE.requests);
  expect(originsOf(" https://a.example/\nhttp://b.example:8080, ")).toEqual([
    "https://a.example",
    "http://b.example:8080",
  ]);
});
