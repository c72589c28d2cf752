/** Where Play stands, and where it leads. */
export interface Place {
  /** the address of Play, to which what is shown is added */
  readonly play: string;
  /** the address of the project it can be edited at; null for those who only look */
  readonly home: string | null;
  /** the whole address at which a phone in the same room is shown this, if there is one */
  readonly phone: string | null;
}
