import { lpText, type Solver } from '$core/advise/program';
import highsLoader from 'highs';

/**
 * The exact solver of integer programs, compiled to WebAssembly; runs in a worker, or in Node.
 * @param wasm address of its binary, where it does not lie beside the script
 */
export function exactSolver(wasm?: string): Solver {
  let loaded: ReturnType<typeof highsLoader> | undefined;
  return async (program) => {
    loaded ??= highsLoader(wasm ? { locateFile: () => wasm } : {});
    const solver = await loaded;
    const { Status, ObjectiveValue, Columns } = solver.solve(lpText(program), {
      output_flag: false,
      // To the last point: two runs must never differ.
      mip_rel_gap: 0,
      mip_abs_gap: 1e-6
    });
    if (Status !== 'Optimal') throw new Error(`The choice could not be made: ${Status}.`);
    const values = new Map<string, number>();
    for (const [name, column] of Object.entries(Columns))
      values.set(name, 'Primal' in column && typeof column.Primal === 'number' ? column.Primal : 0);
    return { objective: ObjectiveValue, values };
  };
}
