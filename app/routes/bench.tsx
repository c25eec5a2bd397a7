export default function Bench() {
  return <h1>Firm Arbor</h1>;
}
