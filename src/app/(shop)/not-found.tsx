export default function NotFound() {
  return (
    <main style={{ padding: '15vh 24px', textAlign: 'center' }}>
      <h1>There is nothing under this number.</h1>
      <p className="soft">Look it up with the finder above: number, name or phone.</p>
    </main>
  );
}
