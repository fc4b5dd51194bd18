// Taken out of the global once: these run in the innermost loops.
const { abs } = Math;

/**
 * Solves A x = b for one or more right-hand sides by Gaussian elimination with
 * partial pivoting. A is n x n row-major, b is n x m row-major; both are overwritten and
 * b holds the solution afterwards. Throws a RangeError when A is singular to working precision.
 */
export function solveInPlace(a: Float64Array, b: Float64Array, n: number, m = 1): Float64Array {
  for (let col = 0; col < n; col++) {
    let pivot = col;
    let largest = abs(a[col * n + col]!);
    for (let row = col + 1; row < n; row++) {
      const size = abs(a[row * n + col]!);
      if (size > largest) {
        largest = size;
        pivot = row;
      }
    }
    if (largest < 1e-300 || Number.isNaN(largest)) {
      throw new RangeError(`solveInPlace: the matrix is singular at column ${col}`);
    }
    if (pivot !== col) {
      swapRows(a, n, pivot, col);
      swapRows(b, m, pivot, col);
    }
    const inverse = 1 / a[col * n + col]!;
    for (let row = col + 1; row < n; row++) {
      const factor = a[row * n + col]! * inverse;
      if (factor === 0) continue;
      for (let k = col + 1; k < n; k++) a[row * n + k]! -= factor * a[col * n + k]!;
      for (let k = 0; k < m; k++) b[row * m + k]! -= factor * b[col * m + k]!;
    }
  }
  for (let row = n - 1; row >= 0; row--) {
    for (let k = 0; k < m; k++) {
      let sum = b[row * m + k]!;
      for (let col = row + 1; col < n; col++) sum -= a[row * n + col]! * b[col * m + k]!;
      b[row * m + k] = sum / a[row * n + row]!;
    }
  }
  return b;
}

function swapRows(data: Float64Array, width: number, r: number, s: number): void {
  for (let k = 0; k < width; k++) {
    const held = data[r * width + k]!;
    data[r * width + k] = data[s * width + k]!;
    data[s * width + k] = held;
  }
}
