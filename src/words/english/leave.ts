/** Leave that comes in as a calendar. */
export const leave = {
  nobody: (id: string) => `Nobody of the crew goes by ${id}. Load the crew again.`,
  noCalendar:
    "This is no calendar file. Take leave out of the calendar as iCalendar (.ics), and choose that.",
  empty: "There is no entry in this calendar. Choose one that has the days away.",
};
