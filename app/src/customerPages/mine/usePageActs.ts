import { useMutation, useQueryClient, type UseMutationResult } from "@tanstack/react-query";
import { v7 as uuid } from "uuid";
import type { AskedTime, Language } from "@mechanon/core";
import { customerPageRoutes as routes, type CustomerPage } from "@mechanon/contract";
import type { z } from "zod";
import { addressOf, call } from "../../api/call";
import { sendPhoto } from "../sendPhoto";

/** An answer as the page sends it. */
export type PageAnswer = z.input<NonNullable<typeof routes.answerOnPage.body>>;
type Act<Given> = UseMutationResult<CustomerPage, Error, Given>;

/** What a customer can do on their page; each answers with the page as it is then. */
export interface PageActs {
  speak: Act<Language>;
  withdraw: Act<string>;
  pick: Act<{ id: string; time: AskedTime }>;
  move: Act<{ id: string; time: AskedTime }>;
  callOff: Act<{ id: string; words: string }>;
  answer: Act<{ id: string; body: PageAnswer }>;
  book: Act<{ id: string; body: { commandId: string; time: AskedTime } }>;
  takeBack: Act<{ id: string; body: z.input<NonNullable<typeof routes.takeBackOnPage.body>> }>;
  wantEarlier: Act<{ id: string; wants: boolean }>;
  /** The id is made once for words that are sent again. */
  write: Act<{ messageId: string; text: string; workOrderId: string | null }>;
  addPhoto: Act<{ photo: Blob; workOrderId: string | null }>;
}

export function usePageActs(token: string): PageActs {
  const queries = useQueryClient();
  const key = ["mine", token];
  const act = <Given>(mutationFn: (given: Given) => Promise<CustomerPage>) => ({
    mutationFn,
    onSuccess: (page: CustomerPage) => queries.setQueryData(key, page),
    // What stood against it may have changed the page.
    onError: () => void queries.invalidateQueries({ queryKey: key }),
  });
  const of = (id: string) => ({ params: { token, id } });
  return {
    speak: useMutation(
      act((language: Language) => call(routes.speakOnPage, { params: { token }, body: { language } })),
    ),
    withdraw: useMutation(act((id: string) => call(routes.withdrawRequest, of(id)))),
    pick: useMutation(
      act(({ id, time }: { id: string; time: AskedTime }) => call(routes.pickOffered, { ...of(id), body: { time } })),
    ),
    move: useMutation(
      act(({ id, time }: { id: string; time: AskedTime }) =>
        call(routes.moveOnPage, { ...of(id), body: { commandId: uuid(), time } }),
      ),
    ),
    callOff: useMutation(
      act(({ id, words }: { id: string; words: string }) =>
        call(routes.callOffOnPage, { ...of(id), body: { commandId: uuid(), words } }),
      ),
    ),
    answer: useMutation(
      act(({ id, body }: { id: string; body: PageAnswer }) => call(routes.answerOnPage, { ...of(id), body })),
    ),
    book: useMutation(
      act(({ id, body }: { id: string; body: { commandId: string; time: AskedTime } }) =>
        call(routes.bookOnPage, { ...of(id), body }),
      ),
    ),
    takeBack: useMutation(
      act(({ id, body }: { id: string; body: z.input<NonNullable<typeof routes.takeBackOnPage.body>> }) =>
        call(routes.takeBackOnPage, { ...of(id), body }),
      ),
    ),
    wantEarlier: useMutation(
      act(({ id, wants }: { id: string; wants: boolean }) =>
        call(routes.wantEarlierOnPage, { ...of(id), body: { commandId: uuid(), wants } }),
      ),
    ),
    write: useMutation(
      act((body: { messageId: string; text: string; workOrderId: string | null }) =>
        call(routes.writeOnPage, { params: { token }, body }),
      ),
    ),
    addPhoto: useMutation(
      act(async ({ photo, workOrderId }: { photo: Blob; workOrderId: string | null }) => {
        const query: Record<string, string> = workOrderId === null ? {} : { order: workOrderId };
        const address = addressOf(routes.addPagePhoto.path, { token, id: uuid() }, query);
        return routes.addPagePhoto.answer.parse(await sendPhoto(address, photo));
      }),
    ),
  };
}
