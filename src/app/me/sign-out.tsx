"use client";

import { usePathname } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { letGoOfAll } from "@/device/along";
import { deviceStore } from "@/device/store";
import { call } from "@/edge/client";
import { SIGN_OUT } from "@/edge/contracts/people";

export function SignOut() {
  const path = usePathname();
  const [busy, setBusy] = useState(false);
  const leave = async () => {
    setBusy(true);
    const left = await call(SIGN_OUT, { body: {} });
    setBusy(false);
    if (left.ok) {
      await letGoOfAll(deviceStore());
      location.assign("/sign-in");
    } else toast.error(left.error.problems[0]?.message ?? "You are still signed in.");
  };
  return (
    <>
      <a href={`/sign-in?to=${encodeURIComponent(path)}`} className="btn btn-quiet">
        Somebody else signs in
      </a>
      <button type="button" className="btn btn-go" disabled={busy} onClick={() => void leave()}>
        Sign out
      </button>
    </>
  );
}
