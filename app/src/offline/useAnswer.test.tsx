import "fake-indexeddb/auto";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render, screen, waitFor } from "@testing-library/react-native";
import { Text } from "react-native";
import { z } from "zod";
import { Unreachable } from "../api/problem";
import { closeDevice, device, openDevice } from "../device/device";
import { useAnswer } from "./useAnswer";

const schema = z.object({ cars: z.number() });
function Day({ load }: { load: () => Promise<{ cars: number }> }) {
  const { data, error } = useAnswer({ key: ["day", "today"], schema, load });
  return <Text>{data ? `${data.cars} cars` : error ? "nothing kept" : "waiting"}</Text>;
}
function open(load: () => Promise<{ cars: number }>): void {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false, gcTime: Infinity } } });
  render(
    <QueryClientProvider client={queries}>
      <Day load={load} />
    </QueryClientProvider>,
  );
}
const unreachable = (): Promise<never> => Promise.reject(new Unreachable(new TypeError("network")));
const kept = () => device()?.answers.get('["day","today"]');

afterAll(closeDevice);

it("is kept on the device, and there again where the server cannot be reached", async () => {
  await openDevice("me");
  open(() => Promise.resolve({ cars: 3 }));
  await screen.findByText("3 cars");
  await waitFor(async () => expect((await kept())?.answer).toEqual({ cars: 3 }));
  screen.unmount();
  open(unreachable);
  await screen.findByText("3 cars");
});

it("shows what is kept until the server answers", async () => {
  let answer: (day: { cars: number }) => void = () => undefined;
  open(() => new Promise((resolve) => (answer = resolve)));
  await screen.findByText("3 cars");
  answer({ cars: 4 });
  await screen.findByText("4 cars");
});

it("passes on nothing that reads no more, nor what is another person's", async () => {
  await device()?.answers.put({ key: '["day","today"]', answer: { trucks: 1 }, asOf: new Date().toISOString() });
  open(unreachable);
  await screen.findByText("nothing kept");
  screen.unmount();
  await device()?.answers.put({ key: '["day","today"]', answer: { cars: 5 }, asOf: new Date().toISOString() });
  await openDevice("somebody else");
  open(unreachable);
  await screen.findByText("nothing kept");
});
