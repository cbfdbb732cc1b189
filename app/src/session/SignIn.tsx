import { zodResolver } from "@hookform/resolvers/zod";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Redirect, useLocalSearchParams } from "expo-router";
import { useState } from "react";
import { Controller, useForm } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import type { z } from "zod";
import { routes, signInBody } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { Press } from "../ui/Press";
import { forgetOwedSignOut } from "./signOut";
import { keepMe, useMe } from "./useSession";
import { wayBack } from "./wayBack";

type Values = z.input<typeof signInBody>;

/** Who is there? The demo business offers its people with one tap. */
export function SignIn() {
  const colors = useColors();
  const queries = useQueryClient();
  const { me } = useMe();
  const { to } = useLocalSearchParams();
  const [fault, setFault] = useState<string | null>(null);
  const { control, handleSubmit, formState } = useForm<Values>({
    resolver: zodResolver(signInBody),
    defaultValues: { login: "", password: "" },
  });
  const demo = useQuery({ queryKey: ["demoAccounts"], queryFn: () => call(routes.demoAccounts, {}) });
  const signIn = async (values: Values): Promise<void> => {
    setFault(null);
    try {
      const person = await call(routes.signIn, { body: values, asAnybody: true });
      forgetOwedSignOut();
      // Asked before and answered after, it would sign the person out again.
      await queries.cancelQueries({ queryKey: ["me"] });
      keepMe(person);
      queries.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== "me" });
      queries.setQueryData(["me"], person);
    } catch (error) {
      setFault(errorWords(error));
    }
  };
  if (me) return <Redirect href={wayBack(to)} />;
  const accounts = demo.data?.accounts ?? [];
  return (
    <Screen title="Sign in">
      <View style={styles.page}>
        <Heading level={1}>Mechanon</Heading>
        <Words tone="muted">The day of a mobile mechanic, from the call to the receipt.</Words>
        {fault ? <Notice text={fault} /> : null}
        {accounts.length > 0 ? (
          <View style={styles.part}>
            <Heading level={2}>Look around as</Heading>
            {accounts.map(({ login, password, name, role }) => (
              <Press
                key={login}
                label={`${name}, ${role}`}
                onPress={() => void signIn({ login, password })}
                style={[styles.person, { borderColor: colors.hairline }]}
              >
                <Words strong tone="petrol">
                  {name}
                </Words>
                <Words tone="muted">{role}</Words>
              </Press>
            ))}
          </View>
        ) : null}
        <View style={styles.part}>
          <Heading level={2}>Sign in</Heading>
          <Controller
            control={control}
            name="login"
            render={({ field }) => (
              <Field
                label="Name"
                autoCapitalize="none"
                autoComplete="username"
                value={field.value}
                onChangeText={field.onChange}
                onBlur={field.onBlur}
                error={formState.errors.login?.message}
              />
            )}
          />
          <Controller
            control={control}
            name="password"
            render={({ field }) => (
              <Field
                label="Password or PIN"
                secureTextEntry
                autoComplete="current-password"
                value={field.value}
                onChangeText={field.onChange}
                onBlur={field.onBlur}
                onSubmitEditing={() => void handleSubmit(signIn)()}
                error={formState.errors.password?.message}
              />
            )}
          />
          <Button
            kind="next"
            label="Sign in"
            busy={formState.isSubmitting}
            onPress={() => void handleSubmit(signIn)()}
          />
        </View>
      </View>
    </Screen>
  );
}

const styles = StyleSheet.create({
  page: { maxWidth: 460, width: "100%", alignSelf: "center", gap: SPACE.m, paddingTop: SPACE.xl },
  part: { gap: SPACE.m, paddingTop: SPACE.l },
  person: { borderTopWidth: 1, paddingVertical: SPACE.s },
});
