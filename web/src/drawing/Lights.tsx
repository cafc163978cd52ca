/** The light on everything that is drawn in space: from all sides, from the window, a little from behind. */
export function Lights() {
  return (
    <>
      <ambientLight intensity={1.7} />
      <directionalLight position={[60, 140, 90]} intensity={1.75} />
      <directionalLight position={[-90, 40, -60]} intensity={0.7} />
    </>
  );
}
