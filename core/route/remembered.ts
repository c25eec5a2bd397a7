/** Answers known by what they were asked of, the newest few for each owner; an owner that is gone takes its answers along. */
export type Remembered<V> = (owner: object, key: string, make: () => V) => V;

/**
 * A memory for answers that depend on an owner and a key alone. What is given is shared: it is not to be changed.
 * @param most how many are known of one owner
 */
export function remembered<V>(most: number): Remembered<V> {
  const owners = new WeakMap<object, Map<string, V>>();
  return (owner, key, make) => {
    let known = owners.get(owner);
    if (!known) owners.set(owner, (known = new Map<string, V>()));
    if (known.has(key)) return known.get(key) as V;
    const made = make();
    const oldest = known.size >= most ? known.keys().next().value : undefined;
    if (oldest !== undefined) known.delete(oldest);
    known.set(key, made);
    return made;
  };
}
