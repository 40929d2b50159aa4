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

  /** A vertex where it is in the blank and in the turned piece, with its normals there; gives its number. */
  vertex(blank: Point3, turned: Point3, flat: Point3, round: Point3, end: number): number {
    this.blank.push(blank.x, blank.y, blank.z);
    this.turned.push(turned.x, turned.y, turned.z);
    this.blankNormals.push(flat.x, flat.y, flat.z);
    this.turnedNormals.push(round.x, round.y, round.z);
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
