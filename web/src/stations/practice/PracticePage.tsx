import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Station } from '../../shared/basics.tsx';

/** A page of practice, with the way back to all of it. */
export const PracticePage = ({
  title,
  lead,
  children,
}: {
  readonly title: string;
  readonly lead: string;
  readonly children: ReactNode;
}) => (
  <Station title={title} lead={lead}>
    <Link className="link" to="/practice">
      All practice
    </Link>
    <div className="mt-3">{children}</div>
  </Station>
);
