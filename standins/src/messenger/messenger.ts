import { Router } from "express";
import { z } from "zod";
import { escapeHtml, linked, page } from "../switchboard/html";

interface SentMessage {
  key: string;
  to: string;
  text: string;
  at: string;
}
const messageBody = z.strictObject({ to: z.string(), text: z.string() });

/** The message service, and the phones its texts arrive on. */
export class Messenger {
  private readonly sent: SentMessage[] = [];

  /** Takes texts, each key once. */
  routes(): Router {
    const router = Router();
    router.post("/", (req, res) => {
      const body = messageBody.parse(req.body);
      const key = req.get("Idempotency-Key") ?? "";
      if (key === "" || !this.sent.some((message) => message.key === key))
        this.sent.push({ key, ...body, at: new Date().toISOString() });
      res.status(202).json({ accepted: true });
    });
    return router;
  }

  /** What customers' phones received, as a page and as data. */
  phones(): Router {
    const router = Router();
    router.get(
      "/phone",
      (req, res) => void res.send(this.page(typeof req.query.to === "string" ? req.query.to : null)),
    );
    router.get("/phone.json", (_req, res) => void res.json(this.sent));
    return router;
  }

  private page(to: string | null): string {
    const shown = this.sent.filter((message) => to === null || message.to === to).reverse();
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
}
