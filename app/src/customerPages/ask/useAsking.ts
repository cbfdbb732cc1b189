import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useForm, type Control, type FieldErrors, type UseFormReturn } from "react-hook-form";
import { v7 as uuid } from "uuid";
import { askPageRoutes as routes, type AskPage } from "@mechanon/contract";
import { call } from "../../api/call";
import { useUnsavedFields } from "../../unsaved/useUnsavedFields";
import { isFault } from "../faultWords";
import { useSpeaking } from "../language";
import { askFaults, askedOf, emptyAsking, termsFor, typedAsking, type TypedAsking } from "./askForm";
import { requestIdOf } from "./requestId";

export type AskControl = Control<TypedAsking>;

export interface Asking {
  form: UseFormReturn<TypedAsking>;
  /** Of the request that is being written: the same however often it is sent. */
  requestId: string;
  /** Something stood typed from before. */
  isBack: boolean;
  startOver: () => void;
  send: () => void;
  isSending: boolean;
  error: unknown;
  /** The address of the private page, once it was sent. */
  sentTo: string | null;
}

/** The request that is being written on the page of a business, kept on this device until it is sent. */
export function useAsking(slug: string, page: AskPage): Asking {
  const { language, t } = useSpeaking();
  const queries = useQueryClient();
  const [requestId, setRequestId] = useState(() => requestIdOf(slug));
  const [sentTo, setSentTo] = useState<string | null>(null);
  const empty = emptyAsking(page.regions[0] ?? "");
  const terms = termsFor(page, language);
  const form = useForm<TypedAsking>({
    defaultValues: empty,
    resolver: (typed) => {
      const faults = askFaults(typed, terms, t);
      const errors: FieldErrors<TypedAsking> = Object.fromEntries(
        Object.entries(faults).map(([field, message]) => [field, { type: "ask", message }]),
      );
      return Object.keys(faults).length > 0 ? { values: {}, errors } : { values: typed, errors: {} };
    },
  });
  const { isBack, drop } = useUnsavedFields(`ask/${slug}`, form, empty, typedAsking.partial());
  const sending = useMutation({
    mutationFn: (typed: TypedAsking) => {
      // The form lets nothing through without a time.
      if (!typed.time) throw new Error("a request without a time");
      return call(routes.askForVisit, {
        params: { slug, id: requestId },
        body: askedOf(typed, typed.time, language, terms),
      });
    },
    onSuccess: ({ page: address }) => {
      drop();
      setRequestId(requestIdOf(slug, uuid()));
      setSentTo(address);
    },
    onError: (error) => {
      if (isFault(error, "ask/time-gone")) {
        form.setValue("time", null);
        void queries.invalidateQueries({ queryKey: ["askTimes", slug] });
      }
      if (isFault(error, "ask/terms-changed")) {
        form.setValue("acceptsTerms", false);
        void queries.invalidateQueries({ queryKey: ["askPage", slug] });
      }
    },
  });
  return {
    form,
    requestId,
    isBack,
    startOver: () => {
      drop();
      form.reset(empty);
      setRequestId(requestIdOf(slug, uuid()));
    },
    send: () => void form.handleSubmit((typed) => sending.mutate(typed))(),
    isSending: sending.isPending,
    error: sending.error,
    sentTo,
  };
}
