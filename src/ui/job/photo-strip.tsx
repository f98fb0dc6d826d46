"use client";

import { useLiveQuery } from "dexie-react-hooks";
import { Camera } from "lucide-react";
import { useEffect, useId, useState } from "react";
import { dropPhoto, keepPhoto, keptPhoto } from "@/device/photos";
import { deviceStore } from "@/device/store";
import { newId } from "../new-id";
import { useSpeaker } from "../use-speaker";
import { hashOf, shrink } from "./shrink";
import type { JobLog } from "./use-job-log";

/** Photographs of a step; with `take`, one more can be taken with the camera or from a file. */
export function PhotoStrip({ log, step, take = false }: { log: JobLog; step: string; take?: boolean }) {
  const { photos: words } = useSpeaker().say.card;
  const job = log.job.inputs.id;
  const id = useId();
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const photos = log.job.progress.photos.filter((each) => each.step === step);
  const waiting = useLiveQuery(() => deviceStore().photos.where({ job }).count(), [job]) ?? 0;

  const add = async (file: File | undefined) => {
    if (file === undefined) return;
    setBusy(true);
    setProblem(undefined);
    const blob = await shrink(file);
    if (blob === undefined) setProblem(words.unreadable);
    else {
      const photo = newId();
      // On the device first: what is noted has to be there, whatever happens next.
      await keepPhoto(deviceStore(), job, photo, blob);
      if (!log.add({ kind: "photo-taken", step, photo, sha256: await hashOf(blob) }))
        await dropPhoto(deviceStore(), job, photo);
    }
    setBusy(false);
  };

  if (photos.length === 0 && !take) return null;
  return (
    <div>
      <ul className="flex flex-wrap gap-2">
        {photos.map(({ photo }, index) => (
          <li key={photo}>
            <Photo job={job} photo={photo} label={words.photograph(index + 1)} />
          </li>
        ))}
        {take && (
          <li>
            <label
              htmlFor={id}
              className="grid h-24 w-32 cursor-pointer place-items-center rounded-md border-2 border-edge border-dashed bg-paper text-center text-note focus-within:outline-3"
            >
              <span>
                <Camera size={26} className="mx-auto" aria-hidden="true" />
                {busy ? words.keeping : words.take}
              </span>
              <input
                id={id}
                type="file"
                accept="image/*"
                capture="environment"
                className="sr-only"
                onChange={(event) => {
                  void add(event.target.files?.[0]);
                  event.target.value = "";
                }}
              />
            </label>
          </li>
        )}
      </ul>
      {waiting > 0 && (
        <p role="status" className="mt-1 text-note text-wait">
          {words.waiting(waiting)}
        </p>
      )}
      {problem !== undefined && (
        <p role="alert" className="mt-1 text-stop">
          {problem}
        </p>
      )}
    </div>
  );
}

function Photo({ job, photo, label }: { job: string; photo: string; label: string }) {
  const [source, setSource] = useState<string>();
  useEffect(() => {
    let made: string | undefined;
    void keptPhoto(deviceStore(), job, photo).then((blob) => {
      made = blob && URL.createObjectURL(blob);
      setSource(made ?? `/api/v1/jobs/${job}/photos/${photo}`);
    });
    return () => {
      if (made !== undefined) URL.revokeObjectURL(made);
    };
  }, [job, photo]);
  return source === undefined ? (
    <span className="block h-24 w-32 rounded-md bg-sunk" />
  ) : (
    // biome-ignore lint/performance/noImgElement: it may lie on this device only
    <img src={source} alt={label} className="h-24 w-32 rounded-md border border-rule object-cover" />
  );
}
