/** What went wrong, in a sentence and aloud; nothing where nothing did. */
export function Problem({ says }: { says: string }) {
  return says === '' ? null : (
    <p role="alert" className="mt-2 basis-full border-l-2 border-oxide pl-3 font-semibold text-oxide">
      {says}
    </p>
  );
}
