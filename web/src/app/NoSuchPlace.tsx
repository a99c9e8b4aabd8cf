import { Link, useParams } from 'react-router';

/** Shown for an unknown address, with a way back. */
export function NoSuchPlace() {
  const { job } = useParams();
  return (
    <main className="p-6" tabIndex={-1}>
      <h1>There is no such page</h1>
      <p className="my-2">
        The address may be misspelt
        {job === undefined ? '.' : ', or the station goes by another name. The stations are on the tape above.'}
      </p>
      <Link className="btn" to={job === undefined ? '/' : `/job/${job}/body`}>
        {job === undefined ? 'To the rail' : 'To the first station'}
      </Link>
    </main>
  );
}
