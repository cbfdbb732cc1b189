import { randomInt } from "node:crypto";
import express, { type Express, type NextFunction, type Request, type Response } from "express";
import { DIRECTORY, FAR_POSTCODES } from "@mechanon/demo";
import { z } from "zod";
import { FAULTS, Switches, faultBody, type Fault, type Service } from "./faults";
import { escapeHtml, linked, page } from "./html";
import { DateTime } from "luxon";
import { Answers } from "./answers";
import { elsewhereOf, recallsOf, specsOf } from "./cars";
import { registerOf, stockOf, type RegisterEntry, type StockItem } from "./data";

const SLOW_MS = 4000;

/** The outside world in small: plate register, parts supplier, card terminal, phone directory, postcodes, specs, recalls, service history, messages; each with switchable faults. */
export function createStandins(
  data: { register: RegisterEntry[]; stock: Map<string, StockItem>; supplier: string; readyInMinutes: number } = {
    register: registerOf(),
    ...stockOf(),
  },
): Express {
  const app = express();
  const switches = new Switches();
  app.use(express.json(), express.urlencoded({ extended: false }));

  app.use("/register", faulty(switches, "register"), plateRegister(data.register));
  app.use("/supplier", faulty(switches, "supplier"), supplier(data));
  app.use("/terminal", faulty(switches, "terminal"), cardTerminal());
  app.use("/directory", faulty(switches, "directory"), phoneDirectory());
  app.use("/postcodes", faulty(switches, "postcodes"), postcodeService());
  app.use("/specs", faulty(switches, "specs"), specSource());
  app.use("/recalls", faulty(switches, "recalls"), recallSource());
  app.use("/history", faulty(switches, "history"), historySource());
  const sent: SentMessage[] = [];
  app.use("/messages", faulty(switches, "messages"), messenger(sent));
  app.get("/phone", (req, res) => res.send(phonePage(sent, typeof req.query.to === "string" ? req.query.to : null)));
  app.get("/phone.json", (_req, res) => res.json(sent));

  app.get("/", (_req, res) => res.send(switchesPage(switches)));
  app.get("/faults", (_req, res) =>
    res.json(
      Object.fromEntries((Object.keys(FAULTS) as Service[]).map((service) => [service, switches.current(service)])),
    ),
  );
  app.post("/faults", (req, res) => {
    const body = faultBody.safeParse(req.body);
    if (!body.success) return void res.status(422).json({ error: z.prettifyError(body.error) });
    switches.switch(body.data.service, body.data.fault as Fault, body.data.times);
    if (req.is("urlencoded")) res.redirect(303, "/");
    else res.status(204).end();
  });
  app.use((error: unknown, _req: Request, res: Response, next: NextFunction) => {
    if (res.headersSent) return next(error);
    res.status(400).json({ error: error instanceof Error ? error.message : "bad request" });
  });
  return app;
}

/** Plays the faults every service shares; the service plays its own. */
function faulty(switches: Switches, service: Service) {
  return (_req: Request, res: Response, next: NextFunction): void => {
    const fault = switches.take(service);
    res.locals.fault = fault;
    if (fault === "down") return void res.status(503).json({ error: "out of service" });
    if (fault === "slow") return void setTimeout(next, SLOW_MS);
    if (fault === "answerLost") {
      // The work is done; only the answer never arrives.
      res.json = () => {
        res.socket?.destroy();
        return res;
      };
    }
    next();
  };
}

function plateRegister(register: RegisterEntry[]): express.Router {
  const router = express.Router();
  router.get("/plates/:region/:key", (req, res) => {
    const cars = register.filter(({ region, key }) => region === req.params.region && key === req.params.key);
    res.json({
      cars: cars.map(({ vin, plate, color, year, make, model }) => ({ vin, plate, color, year, make, model })),
    });
  });
  return router;
}

const askedCar = z.object({
  year: z.coerce.number().int().nullable().default(null),
  make: z.string().nullable().default(null),
  model: z.string().nullable().default(null),
  engine: z.string().nullable().default(null),
});

function specSource(): express.Router {
  const router = express.Router();
  router.get("/", (req, res) => res.json(specsOf(askedCar.parse(req.query))));
  return router;
}

function recallSource(): express.Router {
  const router = express.Router();
  router.get("/:vin", (req, res) => res.json(recallsOf(req.params.vin, askedCar.parse(req.query))));
  return router;
}

function historySource(): express.Router {
  const router = express.Router();
  router.get("/:vin", (req, res) => res.json(elsewhereOf(req.params.vin, DateTime.utc())));
  return router;
}

function phoneDirectory(): express.Router {
  const router = express.Router();
  router.get("/phones/:phone", (req, res) => {
    const found = DIRECTORY.find(({ phone }) => phone === req.params.phone);
    if (!found) return void res.json({ entry: null });
    const { phone: _, ...entry } = found;
    res.json({ entry });
  });
  return router;
}

function postcodeService(): express.Router {
  const router = express.Router();
  router.get("/:postcode", (req, res) => {
    const wanted = req.params.postcode.replace(/\s/g, "");
    const towns = FAR_POSTCODES.filter(({ postcode }) => postcode.replace(/\s/g, "") === wanted);
    res.json({ towns: towns.map(({ town, region }) => ({ town, region })) });
  });
  return router;
}

const offersBody = z.strictObject({ partNumbers: z.array(z.string()).max(200) });
const orderBody = z.strictObject({
  items: z
    .array(z.strictObject({ partNumber: z.string(), quantity: z.number().positive(), costCents: z.number().int() }))
    .min(1),
});

function supplier({
  stock,
  readyInMinutes,
  supplier: name,
}: {
  stock: Map<string, StockItem>;
  supplier: string;
  readyInMinutes: number;
}): express.Router {
  const router = express.Router();
  const answers = new Answers();
  const readyAt = (): string => new Date(Date.now() + readyInMinutes * 60_000).toISOString();
  const itemOf = (partNumber: string, fault: unknown): StockItem | undefined => {
    const item = stock.get(partNumber);
    if (!item) return undefined;
    return {
      ...item,
      costCents: fault === "wrongPrice" ? Math.round(item.costCents * 1.25) : item.costCents,
      available: fault === "outOfStock" ? 0 : item.available,
    };
  };
  router.post("/offers", (req, res) => {
    const { partNumbers } = offersBody.parse(req.body);
    const offers = partNumbers.flatMap((partNumber) => {
      const item = itemOf(partNumber, res.locals.fault);
      return item ? [{ partNumber, ...item, readyAt: readyAt() }] : [];
    });
    res.json({ supplier: name, offers });
  });
  router.post("/orders", (req, res) => {
    const { items } = orderBody.parse(req.body);
    const answer = answers.once(req.get("Idempotency-Key"), () => {
      for (const { partNumber, quantity, costCents } of items) {
        const item = itemOf(partNumber, res.locals.fault);
        if (!item || item.available < quantity) return { status: 409, body: { reason: "outOfStock", partNumber } };
        if (item.costCents !== costCents) return { status: 409, body: { reason: "priceChanged", partNumber } };
      }
      for (const { partNumber, quantity } of items) {
        const item = stock.get(partNumber);
        if (item) item.available -= quantity;
      }
      return {
        status: 201,
        body: { supplier: name, orderNumber: `GH-${randomInt(100_000, 999_999)}`, readyAt: readyAt() },
      };
    });
    res.status(answer.status).json(answer.body);
  });
  return router;
}

const chargeBody = z.strictObject({ amountCents: z.number().int().positive(), reference: z.string() });

function cardTerminal(): express.Router {
  const router = express.Router();
  const answers = new Answers();
  router.post("/charges", (req, res) => {
    chargeBody.parse(req.body);
    const answer = answers.once(req.get("Idempotency-Key"), () => ({
      status: 200,
      body:
        res.locals.fault === "declined"
          ? { status: "declined", reason: "The bank refused this card." }
          : {
              status: "approved",
              lastFour: String(randomInt(0, 10_000)).padStart(4, "0"),
              authorization: `A${randomInt(100_000, 999_999)}`,
            },
    }));
    res.status(answer.status).json(answer.body);
  });
  return router;
}

interface SentMessage {
  key: string;
  to: string;
  text: string;
  at: string;
}
const messageBody = z.strictObject({ to: z.string(), text: z.string() });

function messenger(sent: SentMessage[]): express.Router {
  const router = express.Router();
  router.post("/", (req, res) => {
    const body = messageBody.parse(req.body);
    const key = req.get("Idempotency-Key") ?? "";
    if (key === "" || !sent.some((message) => message.key === key))
      sent.push({ key, ...body, at: new Date().toISOString() });
    res.status(202).json({ accepted: true });
  });
  return router;
}

function phonePage(sent: SentMessage[], to: string | null): string {
  const shown = sent.filter((message) => to === null || message.to === to).reverse();
  const list = shown
    .map(
      ({ to: number, text, at }) =>
        `<article><small>To ${escapeHtml(number)}, ${escapeHtml(at)}</small><p>${linked(text)}</p></article>`,
    )
    .join("");
  return page(
    "Customers' phones (simulated)",
    list === "" ? "<p>No message yet. What the business texts to its customers shows up here.</p>" : list,
  );
}

function switchesPage(switches: Switches): string {
  const forms = (Object.keys(FAULTS) as Service[]).map((service) => {
    const options = FAULTS[service]
      .map((fault) => `<option${fault === switches.current(service) ? " selected" : ""}>${fault}</option>`)
      .join("");
    return `<form method="post" action="/faults"><input type="hidden" name="service" value="${service}"><label for="${service}">${service}</label><select id="${service}" name="fault">${options}</select><button>Switch</button></form>`;
  });
  return page(
    "The outside world (simulated)",
    `<p>What each service should do wrong. <a href="/phone">What customers' phones received</a></p>${forms.join("")}`,
  );
}
