import { useEffect, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Station } from '../../shared/basics.tsx';
import { openPractice } from '../../store/practice.ts';

/** A page of practice, with the way back to all of it. */
export function PracticePage({
  title,
  lead,
  children,
}: {
  readonly title: string;
  readonly lead: string;
  readonly children: ReactNode;
}) {
  useEffect(() => void openPractice(), []);
  return (
    <Station title={title} lead={lead}>
      <Link className="link" to="/practice">
        All practice
      </Link>
      <div className="mt-3">{children}</div>
    </Station>
  );
}
