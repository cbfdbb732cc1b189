import { Router, type NextFunction, type Request, type Response } from "express";
import { z } from "zod";
import { FAULTS, Switches, faultBody, type Fault, type Service } from "./faults";
import { page } from "./html";

const SLOW_MS = 4000;

/** Plays the faults every service shares; the service plays its own. */
export function faulty(switches: Switches, service: Service) {
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

/** The page and the address the faults are switched by. */
export function switchboard(switches: Switches): Router {
  const router = Router();
  router.get("/", (_req, res) => void res.send(switchesPage(switches)));
  router.get("/faults", (_req, res) => {
    const services = Object.keys(FAULTS) as Service[];
    res.json(Object.fromEntries(services.map((service) => [service, switches.current(service)])));
  });
  router.post("/faults", (req, res) => {
    const body = faultBody.safeParse(req.body);
    if (!body.success) return void res.status(422).json({ error: z.prettifyError(body.error) });
    switches.switch(body.data.service, body.data.fault as Fault, body.data.times);
    if (req.is("urlencoded")) res.redirect(303, "/");
    else res.status(204).end();
  });
  return router;
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
