import { ok } from "@/core/result";
import { CALENDAR } from "@/edge/contracts/taking-out";
import { originOf } from "@/edge/origin";
import { route } from "@/edge/route";
import { calendarOf } from "@/server/lists/calendar";

export const GET = route(CALENDAR, ({ query, services, request }) =>
  ok(
    new Response(calendarOf(services, query, originOf(request)).toString(), {
      headers: {
        "content-type": "text/calendar; charset=utf-8",
        "content-disposition": 'inline; filename="loftbell.ics"',
      },
    }),
  ),
);
