"use client";

import { useRouter } from "next/navigation";
import { SearchField } from "@/ui/list/search-field";

export function FindValve({ find }: { find: string }) {
  const router = useRouter();
  return (
    <SearchField
      placeholder="Tag, name or place"
      find={find}
      onFind={(to) => router.replace(to === "" ? "/trouble" : `/trouble?find=${encodeURIComponent(to)}`)}
    />
  );
}
