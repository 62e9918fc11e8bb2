import Link from 'next/link';

export default function NotFound() {
  return (
    <main style={{ padding: '2rem' }}>
      <h1>There is nothing at this address</h1>
      <p>
        The model may have been removed. <Link href="/">Go to the projects</Link>
      </p>
    </main>
  );
}
