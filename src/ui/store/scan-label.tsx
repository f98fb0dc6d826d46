"use client";

import { ScanLine } from "lucide-react";
import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { call } from "@/edge/client";
import { LABEL } from "@/edge/contracts/store";
import { TextField } from "../kit/text-field";
import { Modal } from "../modal";
import { Notice } from "../notice";
import { type ReadLabel, readLabel } from "./read-label";

/** Between two looks of the camera. */
const LOOK_MS = 180;

/** Opens what a label belongs to: read by the camera, out of a picture, or typed. */
export function ScanLabel() {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState("");
  const [told, setTold] = useState<string>();
  const [busy, setBusy] = useState(false);
  const find = async (reads: string) => {
    if (reads.trim() === "") return setTold("Write what stands on the label.");
    setBusy(true);
    const found = await call(LABEL, { query: { reads: reads.trim() } });
    setBusy(false);
    if (!found.ok) return setTold(found.error.problems.map(({ message }) => message).join(" "));
    setOpen(false);
    router.push(found.value.href);
  };
  const picture = async (file: File | undefined) => {
    if (file === undefined) return;
    setBusy(true);
    const image = await createImageBitmap(file).catch(() => undefined);
    const read: ReadLabel =
      image === undefined ? { kind: "cannot" } : await readLabel(image).finally(() => image.close());
    setBusy(false);
    if (read.kind === "reads") return find(read.text);
    setTold(
      read.kind === "nothing"
        ? "No code is seen in this picture. Go closer, hold it still, or type what stands below the code."
        : "This picture cannot be read here. Type what stands below the code.",
    );
  };
  return (
    <>
      <button
        type="button"
        className="btn btn-quiet"
        onClick={() => {
          setTold(undefined);
          setTyped("");
          setOpen(true);
        }}
      >
        <ScanLine size={20} aria-hidden /> Scan
      </button>
      <Modal
        open={open}
        onOpenChange={setOpen}
        title="Scan a label"
        says="Of a kit, a valve, an instrument: its page opens."
      >
        {told !== undefined && (
          <Notice tone="wait" live>
            {told}
          </Notice>
        )}
        {open && <Camera onRead={(text) => void find(text)} />}
        <label className="btn btn-quiet relative w-full focus-within:outline-3 focus-within:outline-cold">
          Take a picture of it, or choose one
          <input
            type="file"
            accept="image/*"
            capture="environment"
            className="absolute inset-0 opacity-0"
            onChange={(event) => void picture(event.target.files?.[0])}
          />
        </label>
        <div className="grid grid-cols-[1fr_auto] items-end gap-2">
          <TextField
            label="Or type what stands on it"
            value={typed}
            onChange={setTyped}
            onEnter={() => void find(typed)}
          />
          <button type="button" className="btn btn-go mb-1" disabled={busy} onClick={() => void find(typed)}>
            {busy ? "Looking …" : "Open"}
          </button>
        </div>
      </Modal>
    </>
  );
}

const stop = (stream: MediaStream) => {
  for (const track of stream.getTracks()) track.stop();
};

/** What the camera sees, looked at until there is a code; nothing where there is no camera, or none may be used. */
function Camera({ onRead }: { onRead: (text: string) => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const tell = useRef(onRead);
  tell.current = onRead;
  const [state, setState] = useState<"starting" | "sees" | "none">("starting");
  useEffect(() => {
    let stream: MediaStream | undefined;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let over = false;
    const look = async () => {
      const seen = video.current;
      if (over || seen === null) return;
      if (seen.readyState >= HTMLMediaElement.HAVE_CURRENT_DATA) {
        const read = await readLabel(seen);
        if (over) return;
        if (read.kind === "cannot") return setState("none");
        if (read.kind === "reads") return tell.current(read.text);
      }
      timer = setTimeout(() => void look(), LOOK_MS);
    };
    const begin = async () => {
      // A page that does not come over TLS, or from this machine, is given no camera.
      const camera = await navigator.mediaDevices
        ?.getUserMedia({ video: { facingMode: "environment" } })
        .catch(() => undefined);
      if (camera === undefined) return setState("none");
      if (over) return stop(camera);
      stream = camera;
      if (video.current !== null) video.current.srcObject = camera;
      setState("sees");
      void look();
    };
    void begin();
    return () => {
      over = true;
      clearTimeout(timer);
      if (stream !== undefined) stop(stream);
    };
  }, []);
  if (state === "none")
    return (
      <p className="text-soft">
        No camera can be used on this page. A picture of the label, or what stands on it, does as well.
      </p>
    );
  return (
    <video
      ref={video}
      autoPlay
      playsInline
      muted
      aria-label="What the camera sees"
      className="aspect-video w-full rounded bg-sunk object-cover"
    />
  );
}
