import type { Metadata } from "next";
import { cookies } from "next/headers";
import { redirect } from "next/navigation";
import { deviceIn } from "@/edge/coming-in";
import { DEVICE_COOKIE } from "@/edge/entered";
import { hasKeeper, signInNeeded } from "@/server/access/needed";
import { services } from "@/server/services";
import { readEntered } from "../settings";
import { ComeIn } from "./come-in";

export const metadata: Metadata = { title: "Sign in" };

/** Only ways within this house are gone on to. */
const within = (to: string | string[] | undefined): string =>
  typeof to === "string" && /^\/(?![/\\])/.test(to) ? to : "/";

export default async function SignInPage({ searchParams }: PageProps<"/sign-in">) {
  const all = services();
  const to = within((await searchParams).to);
  if (!signInNeeded(all)) redirect(to);
  const entered = await readEntered();
  const device = await deviceIn(all, (await cookies()).get(DEVICE_COOKIE)?.value);
  const crew = new Map(all.library.crew().map(({ id, name }) => [id, name]));
  const known =
    device === undefined
      ? []
      : all.access.pinsOn(device).flatMap(({ person }) => {
          const name = crew.get(person);
          return name === undefined || person === entered?.person ? [] : [{ person, name }];
        });
  return <ComeIn to={to} known={known} first={!hasKeeper(all)} here={entered?.name} />;
}
