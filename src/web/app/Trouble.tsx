/** Something that did not work, in a sentence. */
export function Trouble({ failure }: { failure: unknown }) {
  const sentence = failure instanceof Error ? failure.message : 'Something went wrong.';
  return (
    <div className="page">
      <p className="trouble" role="alert">
        {sentence}
      </p>
    </div>
  );
}
