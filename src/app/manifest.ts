import type { MetadataRoute } from "next";

/** By this a phone installs it: it then opens like any program, with the network or without. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: "/",
    name: "Loft Bell",
    short_name: "Loft Bell",
    description: "From the bell to the record: valve service, computed.",
    start_url: "/",
    scope: "/",
    display: "standalone",
    background_color: "#F5F3EC",
    theme_color: "#22313B",
    icons: [
      { src: "/icon-192.png", sizes: "192x192", type: "image/png" },
      { src: "/icon-512.png", sizes: "512x512", type: "image/png" },
      { src: "/icon-maskable.png", sizes: "512x512", type: "image/png", purpose: "maskable" },
    ],
    shortcuts: [
      { name: "On this device", url: "/along" },
      { name: "Bench book", url: "/bench" },
    ],
  };
}
