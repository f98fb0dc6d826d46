/** What was seen: a code, none, or that codes cannot be read here. */
export type ReadLabel =
  | { readonly kind: "reads"; readonly text: string }
  | { readonly kind: "nothing" }
  | { readonly kind: "cannot" };

/** The codes that stand on our own labels and on boxes. */
const FORMATS = ["qr_code", "data_matrix", "code_128", "code_39", "ean_13", "ean_8", "upc_a"] as const;

/** The reader ships with the app: nothing is fetched from elsewhere. Loaded when the first label is held to the camera. */
async function load() {
  const { BarcodeDetector, prepareZXingModule } = await import("barcode-detector/ponyfill");
  const wasm = new URL("zxing-wasm/reader/zxing_reader.wasm", import.meta.url).href;
  prepareZXingModule({ overrides: { locateFile: () => wasm } });
  return new BarcodeDetector({ formats: [...FORMATS] });
}
let loaded: ReturnType<typeof load> | undefined;

/** Reads the first code in a picture, or in what a camera shows now. */
export async function readLabel(image: ImageBitmapSource): Promise<ReadLabel> {
  try {
    loaded ??= load();
    const [code] = await (await loaded).detect(image);
    return code === undefined ? { kind: "nothing" } : { kind: "reads", text: code.rawValue };
  } catch {
    loaded = undefined;
    return { kind: "cannot" };
  }
}
