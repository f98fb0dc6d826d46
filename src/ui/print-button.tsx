"use client";

export function PrintButton() {
  return (
    <button type="button" className="btn btn-go" onClick={() => print()}>
      Print on A4
    </button>
  );
}
