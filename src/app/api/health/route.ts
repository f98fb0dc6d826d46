import { health } from "@/server/health";

export const dynamic = "force-dynamic";

export function GET(): Response {
  const state = health();
  return Response.json(state, { status: state.ok ? 200 : 503 });
}
