interface Point3 {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** Vertices and triangles as they come, put into typed arrays at the end. */
export class MeshParts {
  vertices = 0;
  private readonly blank: number[] = [];
  private readonly turned: number[] = [];
  private readonly blankNormals: number[] = [];
  private readonly turnedNormals: number[] = [];
  private readonly end: number[] = [];
  private readonly index: number[] = [];

  get triangles(): number {
    return this.index.length / 3;
  }

  /** A vertex where it is in the blank and in the turned piece, all turned about the axis; gives its number. */
  vertex(blank: Point3, turned: Point3, flat: Point3, round: Point3, turn: number, end: number): number {
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
    const put = (into: number[], { x, y, z }: Point3) => into.push(x * cos - y * sin, x * sin + y * cos, z);
    put(this.blank, blank);
    put(this.turned, turned);
    put(this.blankNormals, flat);
    put(this.turnedNormals, round);
    this.end.push(end);
    return this.vertices++;
  }

  triangle(a: number, b: number, c: number): void {
    this.index.push(a, b, c);
  }

  /** Two triangles, corners counter-clockwise from outside. */
  quad(a: number, b: number, c: number, d: number): void {
    this.index.push(a, b, c, a, c, d);
  }

  arrays() {
    return {
      blank: Float32Array.from(this.blank),
      turned: Float32Array.from(this.turned),
      blankNormals: Float32Array.from(this.blankNormals),
      turnedNormals: Float32Array.from(this.turnedNormals),
      end: Float32Array.from(this.end),
      index: Uint32Array.from(this.index),
    };
  }
}
