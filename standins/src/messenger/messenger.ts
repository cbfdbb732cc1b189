import { randomUUID } from "node:crypto";
import { Router } from "express";
import { z } from "zod";
import type { Fault } from "../switchboard/faults";
import { escapeHtml, linked, page } from "../switchboard/html";
import { tellBack } from "./tellBack";

const messageBody = z.strictObject({
  channel: z.enum(["text", "mail"]),
  to: z.string(),
  subject: z.string().nullable(),
  text: z.string(),
  /** Of a mail. */
  attachment: z
    .strictObject({ name: z.string(), type: z.literal("application/pdf"), base64: z.base64() })
    .nullable()
    .default(null),
  /** Where it is told what becomes of it. */
  callback: z.url(),
});
const replyBody = z.object({ key: z.string(), text: z.string().min(1), from: z.string().optional() });

interface SentMessage extends z.infer<typeof messageBody> {
  key: string;
  at: string;
}

/** The message service, and the phones and mailboxes its messages arrive in. */
export class Messenger {
  private readonly sent: SentMessage[] = [];

  /** @param secret - by which it proves who it is when it tells back. */
  constructor(private readonly secret: string) {}

  /** Takes messages, each key once, and tells what became of each. */
  routes(): Router {
    const router = Router();
    router.post("/", (req, res) => {
      const body = messageBody.parse(req.body);
      const key = req.get("Idempotency-Key") ?? "";
      if (key === "" || !this.sent.some((message) => message.key === key)) {
        const fails = (res.locals.fault as Fault | undefined) === "undeliverable";
        if (!fails) this.sent.push({ key, ...body, at: new Date().toISOString() });
        const news = fails ? { what: "failed", key, why: "The number takes no messages." } : { what: "delivered", key };
        void tellBack(body.callback, this.secret, news);
      }
      res.status(202).json({ accepted: true });
    });
    return router;
  }

  /** What customers received, as pages and as data, and what they answer. */
  phones(): Router {
    const router = Router();
    router.get(
      "/phone",
      (req, res) => void res.send(this.page(typeof req.query.to === "string" ? req.query.to : null)),
    );
    router.get("/phone.json", (_req, res) => void res.json(this.sent));
    router.post("/phone/reply", async (req, res) => {
      const { key, text, from } = replyBody.parse(req.body);
      const answered = this.sent.find((message) => message.key === key);
      if (!answered) return void res.status(404).json({ error: "no such message" });
      const { to, channel, callback } = answered;
      const at = new Date().toISOString();
      const isTold = await tellBack(callback, this.secret, {
        ...{ what: "reply", id: randomUUID(), toKey: key, channel, from: from || to, text, at },
      });
      if (req.is("urlencoded")) return res.redirect(303, `/phone?to=${encodeURIComponent(to)}`);
      res.status(isTold ? 204 : 502).end();
    });
    return router;
  }

  private page(to: string | null): string {
    const shown = this.sent.filter((message) => to === null || message.to === to).reverse();
    const list = shown
      .map(
        ({ key, to: reach, channel, subject, text, at, attachment }) =>
          `<article><small>${channel === "mail" ? "Mail" : "Text"} to ${escapeHtml(reach)}, ${escapeHtml(at)}</small>${
            subject === null ? "" : `<h2>${escapeHtml(subject)}</h2>`
          }<p>${linked(text).replaceAll("\n", "<br>")}</p>${attached(attachment)}<form method="post" action="/phone/reply"><input type="hidden" name="key" value="${escapeHtml(key)}"><input name="text" aria-label="Reply to ${escapeHtml(reach)}" required><button>Reply</button></form></article>`,
      )
      .join("");
    return page(
      "Customers' phones and mail (simulated)",
      list === "" ? "<p>No message yet. What the business texts or mails to its customers shows up here.</p>" : list,
    );
  }
}

/** What came with a mail, to be opened. */
function attached(attachment: SentMessage["attachment"]): string {
  if (attachment === null) return "";
  const { name, type, base64 } = attachment;
  return `<p><a download="${escapeHtml(name)}" href="data:${type};base64,${base64}">${escapeHtml(name)}</a></p>`;
}
