import { GLOSSARY } from '@ample/core/words';

/** What the words of the app mean. */
export function Glossary() {
  return (
    <dl className="mt-2">
      {GLOSSARY.map(({ term, meaning }) => (
        <div key={term} className="border-t border-line py-1.5 sm:flex">
          <dt className="w-36 shrink-0 font-bold">{term}</dt>
          <dd>{meaning}</dd>
        </div>
      ))}
    </dl>
  );
}
