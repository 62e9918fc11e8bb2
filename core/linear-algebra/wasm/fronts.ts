// What a front begins with: its columns of the matrix, and the borders that its children left.
import { at, row } from './memory';

export function gather(
  pointers: usize,
  rows: usize,
  values: usize,
  first: i32,
  pivots: i32,
  front: i32,
  list: usize,
  local: usize,
  panel: usize,
): void {
  memory.fill(panel, 0, <usize>(front * pivots) << 3);
  for (let i = 0; i < front; i++) i32.store(local + (<usize>row(list, i) << 2), i);
  for (let k = 0; k < pivots; k++) {
    const column = at(panel, k * front);
    const end = row(pointers, first + k + 1);
    for (let e = row(pointers, first + k); e < end; e++)
      f64.store(at(column, row(local, row(rows, e))), f64.load(at(values, e)));
  }
}

export function extendAdd(border: usize, size: i32, places: usize, panel: usize, front: i32, pivots: i32, parentBorder: usize): void {
  const rest = front - pivots;
  for (let j = 0; j < size; j++) {
    const column = i32.load(places + (<usize>j << 2));
    const source = at(border, j * size);
    const target = column < pivots ? at(panel, column * front) : at(parentBorder, (column - pivots) * rest - pivots);
    for (let i = j; i < size; i++) {
      const place = at(target, i32.load(places + (<usize>i << 2)));
      f64.store(place, f64.load(place) + f64.load(at(source, i)));
    }
  }
}
