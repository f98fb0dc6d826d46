/** A calendar as the answer of a route: whoever subscribed reads it, whoever opens it sees it. */
export const calendarAnswer = (calendar: { toString(): string }, name: string): Response =>
  new Response(calendar.toString(), {
    headers: {
      "content-type": "text/calendar; charset=utf-8",
      "content-disposition": `inline; filename="${name}"`,
    },
  });
