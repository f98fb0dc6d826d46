import type { Metadata } from "next";
import { MyDayScreen } from "./my-day-screen";

export const metadata: Metadata = { title: "My day" };

export default function MyDayPage() {
  return <MyDayScreen />;
}
