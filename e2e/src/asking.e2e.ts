import { Driver, PHONE, WIDE } from "./driver";
import { codePhoto } from "./pictures";
import { checked, openWorld } from "./world";

const world = openWorld();

interface Sent {
  key: string;
  to: string;
  text: string;
}

/** What customers' phones have, once it holds. */
async function phonesOnce(holds: (sent: Sent[]) => boolean): Promise<Sent[]> {
  for (;;) {
    const sent = (await (await fetch(`${world.servers.standins}/phone.json`)).json()) as Sent[];
    if (holds(sent)) return sent;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

/** The newest message to a number. */
async function lastTo(number: string, about: RegExp): Promise<Sent> {
  const isIt = ({ to, text }: Sent): boolean => to === number && about.test(text);
  const found = (await phonesOnce((sent) => sent.some(isIt))).findLast(isIt);
  if (!found) throw new Error("no message");
  return found;
}

/** The public page, on a customer's own phone. */
function asking(): Promise<Driver> {
  return Driver.open(world.browser, PHONE, `${world.servers.url}/ask/larkhaven`);
}

/** Replies from a customer's phone. */
async function replyFrom({ key }: Sent, text: string): Promise<void> {
  const { status } = await fetch(`${world.servers.standins}/phone/reply`, {
    method: "POST",
    headers: { "Content-Type": "application/json" },
    body: JSON.stringify({ key, text }),
  });
  expect(status).toBe(204);
}

it("a customer asks at night, somebody takes it in two taps, everybody sees who, and the customer follows it to the door", async () => {
  const office = await world.signedIn(WIDE, /Wren/);
  const mechanic = await world.signedIn(PHONE);
  const customer = await asking();
  const { page } = customer;

  await page.getByRole("heading", { name: "Ask for a visit", level: 1 }).waitFor();
  await checked(customer, "ask");
  await customer.tap(page.getByRole("checkbox", { name: "Oil and filter" }));
  await customer.type("Plate", "LRK1204");
  await customer.tap(page.getByTestId("find-car"));
  await customer.tap(page.getByRole("button", { name: /2019 Honda Accord/ }));
  await customer.type("Street and number", "18 Heron Landing");
  await customer.type("ZIP code", "98099");
  await customer.tap(page.getByTestId("ask-times").getByRole("radio").nth(1));
  await customer.type("Name", "Maren O.");
  await customer.type("Phone", "360 555 0111");
  await customer.tap(page.getByRole("checkbox", { name: /^By text/ }));
  await customer.tap(page.getByRole("checkbox", { name: /^I have read/ }));
  await page.getByText(/^We keep this time for you/).waitFor();
  await checked(customer, "ask-filled");
  await customer.tap(page.getByTestId("send-request"));
  await page.getByRole("heading", { name: "We have your request" }).waitFor();
  process.stdout.write(`taps phone, a request: ${customer.taps}\n`);
  expect(customer.taps).toBeLessThanOrEqual(14);
  await customer.close();

  // On every screen of everybody, until somebody has it.
  const strip = (driver: Driver) => driver.page.getByTestId("waiting-strip");
  await office.page.getByRole("link", { name: /^Maren O\. asks for a visit: Oil change is due/ }).waitFor();
  await strip(mechanic).waitFor();
  await checked(mechanic, "request-waits");
  const before = mechanic.taps;
  await mechanic.tap(strip(mechanic));
  await mechanic.page.getByRole("radio", { name: /^Maren Oyelaran \(same phone\)/, checked: true }).waitFor();
  await checked(mechanic, "request");
  await mechanic.tap(mechanic.page.getByTestId("agree"));
  await mechanic.page.getByRole("heading", { name: "Maren Oyelaran", level: 1 }).waitFor();
  expect(mechanic.taps - before).toBe(2);
  process.stdout.write(`taps phone, a request taken: ${mechanic.taps - before}\n`);
  await office.page.getByRole("link", { name: "Odile took Maren O.’s request" }).waitFor();
  await office.close();

  // From the message on, on a page of the customer's own.
  const booked = await lastTo("+13605550111", /comes .*See it, move it or ask us here/);
  const link = /http\S+\/c\/[\w-]+/.exec(booked.text)?.[0] ?? "";
  const hers = await Driver.open(world.browser, PHONE, link);
  await hers.page
    .getByText(/comes \w{3} \w{3} \d/)
    .first()
    .waitFor();
  await checked(hers, "mine");
  await hers.page
    .getByTestId(/^page-photo-/)
    .first()
    .setInputFiles(await codePhoto(world.browser, [], "#87807a"));
  await hers.page.getByAltText("Your photos, Photo 1").waitFor();
  await hers.type("Ask or tell us something", "Is the blue pot all right?");
  await hers.button("Send");
  await hers.page.getByText(/^Sent\. We answer here/).waitFor();

  await mechanic.tap(strip(mechanic));
  await mechanic.page.getByText("Is the blue pot all right?").waitFor();
  await checked(mechanic, "messages-open");
  await mechanic.tap(mechanic.page.getByTestId(/^answer-/).last());
  await mechanic.type("Your answer", "Yes, put it there");
  await mechanic.button("Send the answer");
  await lastTo("+13605550111", /Yes, put it there$/);
  await hers.page.reload();
  await hers.page.getByText(/Yes, put it there$/).waitFor();

  // On the way: only while somebody is.
  const visits = await world.servers.rows(
    "select v.id, v.state->>'workOrderIds' as orders from visits v join requests r on r.visit_id = v.id",
  );
  const command = async (type: object): Promise<void> => {
    const commands = [{ id: crypto.randomUUID(), at: new Date().toISOString(), command: type }];
    const address = `${world.servers.url}/api/visits/${String(visits[0]?.id)}/commands`;
    expect((await mechanic.context.request.post(address, { data: { commands } })).status()).toBe(200);
  };
  await command({ type: "setOff", driveMinutes: 12 });
  await hers.page.reload();
  await hers.page
    .getByTestId("on-the-way")
    .getByText(/^There at about/)
    .waitFor();
  await checked(hers, "mine-on-the-way");
  await command({ type: "arrive" });
  await hers.page.reload();
  await hers.page.getByText(/ is with your car$/).waitFor();
  expect(await hers.page.getByTestId("on-the-way").count()).toBe(0);

  // STOP is honored at once, and stands with the customer.
  await replyFrom(booked, "STOP");
  await mechanic.page.goto(`${world.servers.url}/find`);
  await mechanic.type(/Name, phone/, "Maren Oyelaran");
  await mechanic.tap(mechanic.page.getByRole("link", { name: "Customer Maren Oyelaran" }));
  await mechanic.page.getByText(/No texts: Texted “STOP”/).waitFor();
  await hers.close();
  await mechanic.close();
});

it("in Spanish to the end: other times, one taken by the customer, and all of it in that language", async () => {
  const customer = await asking();
  const { page } = customer;
  await customer.tap(page.getByTestId("language-es"));
  await page.getByRole("heading", { name: "Pedir una visita", level: 1 }).waitFor();
  await customer.tap(page.getByRole("checkbox", { name: "No arranca", exact: true }));
  await customer.type("Calle y número", "3 Ebb Court");
  await customer.tap(page.getByTestId("ask-times").getByRole("radio").first());
  await customer.type("Nombre", "Inés Barragán");
  await customer.type("Correo electrónico", "ines@example.com");
  await customer.type("Correo electrónico otra vez", "ines@exmaple.com");
  await customer.tap(page.getByRole("checkbox", { name: "Por correo electrónico" }));
  await customer.tap(page.getByRole("checkbox", { name: "Lo leí y lo acepto" }));
  await customer.tap(page.getByTestId("send-request"));
  await page.getByText("✕ Los dos correos no son iguales").waitFor();
  await checked(customer, "ask-fault");
  await customer.type("Correo electrónico otra vez", "ines@example.com");
  await customer.tap(page.getByTestId("send-request"));
  await page.getByRole("heading", { name: "Recibimos su solicitud" }).waitFor();
  await customer.close();

  const office = await world.signedIn(WIDE, /Wren/);
  await office.page.goto(`${world.servers.url}/requests`);
  await office.tap(office.page.getByRole("link", { name: /^Inés Barragán, Will not start/ }));
  await office.tap(office.page.getByTestId("other-times"));
  const times = office.page.getByRole("group", { name: "Times to offer" }).getByRole("checkbox");
  // Late ones: they can be moved by herself for longer than a day.
  await times.last().waitFor();
  await office.tap(times.last());
  await office.tap(times.nth((await times.count()) - 2));
  await checked(office, "request");
  await office.tap(office.page.getByTestId("send-offer"));
  await office.page.getByRole("heading", { name: "Requests and replies" }).waitFor();
  await checked(office, "requests");
  await office.close();

  const offered = await lastTo("ines@example.com", /sí en otro horario/);
  const link = /http\S+\/c\/[\w-]+/.exec(offered.text)?.[0] ?? "";
  const hers = await Driver.open(world.browser, PHONE, link);
  await hers.page.getByText("No podemos ir cuando lo pidió. Elija otro horario:").first().waitFor();
  await hers.tap(hers.page.getByTestId("offered-times").getByRole("radio").first());
  await hers.page
    .getByText(/^\w+ va el /)
    .first()
    .waitFor();
  await checked(hers, "mine-spanish");
  await lastTo("ines@example.com", /va el .*por su auto/);

  // Everything of hers, by a code to the mail that is kept.
  await hers.tap(hers.page.getByTestId("see-all"));
  await hers.button("Correo a i…@e….com");
  const { text } = await lastTo("ines@example.com", /es su código/);
  await hers.type("El código, seis números", /\b\d{6}\b/.exec(text)?.[0] ?? "");
  await hers.tap(hers.page.getByTestId("prove"));
  await hers.page.getByText("Esto es todo lo suyo.").waitFor();

  // Moved by herself.
  await hers.button("Otro horario");
  await hers.tap(
    hers.page
      .getByTestId(/^other-times-/)
      .getByRole("radio")
      .first(),
  );
  await lastTo("ines@example.com", /Su visita por .* es ahora el/);
  await hers.close();
});

it("the owner words a message, sees what is read, and is told of an unknown field", async () => {
  const owner = await world.signedIn(WIDE);
  const { page } = owner;
  await page.goto(`${world.servers.url}/settings/messages`);
  await owner.button("Booked: by itself");
  await owner.type("Text", "Hi {customer}, {mechanic} comes {dya}");
  await owner.tap(page.getByTestId("save-messages"));
  await page.getByText("✕ no field is called {dya}").waitFor();
  await owner.type("Text", "Hi {customer}, {mechanic} comes {day}, {time}. {link}");
  await page.getByText(/^Hi Perpetua, Tomas comes Sat Dec 5/).waitFor();
  await checked(owner, "settings-messages");
  await owner.tap(page.getByTestId("save-messages"));
  await page.getByText(/^Saved\. What is told/).waitFor();
  await page.goto(`${world.servers.url}/settings/requests`);
  await page.getByText(/\/ask\/larkhaven$/).waitFor();
  await checked(owner, "settings-requests");
  await owner.close();
});
