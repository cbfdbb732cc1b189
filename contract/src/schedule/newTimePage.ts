import { z } from "zod";
import { language } from "@mechanon/core";
import { route } from "../route";

/** A secret of a link. */
export const tokenField = z.string().regex(/^[\w-]{20,80}$/, "no link looks like this");

/** What the customer's page says of a new time. */
export const newTime = z.object({
  businessName: z.string(),
  businessPhone: z.string(),
  timeZone: z.string(),
  mechanic: z.string(),
  /** A gap several were told of: the first yes gets it; else the weather. */
  forGap: z.boolean(),
  language,
  fromStartsAt: z.string(),
  startsAt: z.string(),
  answerBy: z.string(),
  answer: z.enum(["yes", "no"]).nullable(),
  /** The visit was moved, called off or begun meanwhile, or the time to answer is over. */
  isOver: z.boolean(),
});
export type NewTime = z.infer<typeof newTime>;

/** What a customer's page about a new time asks: apart, so that the page brings along nothing of the mechanic's routes. */
export const newTimePageRoutes = {
  openNewTime: route({
    method: "get",
    path: "/api/public/new-times/:token",
    area: "schedule",
    open: true,
    summary: "The new time behind the link of a message",
    params: z.object({ token: tokenField }),
    answer: newTime,
  }),
  answerNewTime: route({
    method: "post",
    path: "/api/public/new-times/:token",
    area: "schedule",
    open: true,
    summary: "The customer's yes or no to a new time",
    params: z.object({ token: tokenField }),
    body: z.strictObject({ answer: z.enum(["yes", "no"]) }),
    answer: newTime,
  }),
};
