import express, { type Express, type NextFunction, type Request, type Response } from "express";
import { cardTerminal } from "./cardTerminal/cardTerminal";
import { historySource, recallSource, specSource } from "./cars/routes";
import { Messenger } from "./messenger/messenger";
import { objectStore } from "./objectStore/objectStore";
import { phoneDirectory } from "./phoneDirectory/phoneDirectory";
import { plateRegister } from "./plateRegister/plateRegister";
import { addresses } from "./addresses/addresses";
import { routing } from "./routing/routing";
import { weather } from "./weather/weather";
import { postcodes } from "./postcodes/postcodes";
import { suppliers } from "./suppliers/suppliers";
import { Switches } from "./switchboard/faults";
import { faulty, switchboard } from "./switchboard/switchboard";

/**
 * The outside world in small, a folder for each service; each with switchable faults.
 * @param secret - by which the message service proves who it is.
 */
export function createStandins(secret = ""): Express {
  const app = express();
  const switches = new Switches();
  const messenger = new Messenger(secret);
  app.use("/objects", faulty(switches, "objects"), objectStore());
  app.use(express.json({ limit: "2mb" }), express.urlencoded({ extended: false }));
  app.use("/register", faulty(switches, "register"), plateRegister());
  app.use("/suppliers", faulty(switches, "supplier"), suppliers());
  app.use("/terminal", faulty(switches, "terminal"), cardTerminal());
  app.use("/directory", faulty(switches, "directory"), phoneDirectory());
  app.use("/addresses", faulty(switches, "addresses"), addresses());
  app.use("/postcodes", faulty(switches, "postcodes"), postcodes());
  app.use("/specs", faulty(switches, "specs"), specSource());
  app.use("/recalls", faulty(switches, "recalls"), recallSource());
  app.use("/history", faulty(switches, "history"), historySource());
  app.use("/weather", faulty(switches, "weather"), weather());
  app.use("/routing", faulty(switches, "routing"), routing());
  app.use("/messages", faulty(switches, "messages"), messenger.routes());
  app.use(messenger.phones());
  app.use(switchboard(switches));
  app.use((error: unknown, _req: Request, res: Response, next: NextFunction) => {
    if (res.headersSent) return next(error);
    res.status(400).json({ error: error instanceof Error ? error.message : "bad request" });
  });
  return app;
}
