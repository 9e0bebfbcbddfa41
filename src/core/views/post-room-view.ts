/** What the page of the post room is told; instants are milliseconds since 1970 UTC. */
export interface PostRoomView {
  readonly now: number;
  readonly wentOut: readonly {
    readonly at: number;
    readonly from: string;
    readonly to: readonly string[];
    readonly subject: string;
    readonly text: string;
  }[];
  readonly planned: readonly {
    readonly at: number;
    readonly from: string;
    readonly subject: string;
    readonly isAutomatic: boolean;
  }[];
  /** Addresses of ours that can be written to, and how their letters come. */
  readonly addresses: readonly { readonly address: string; readonly says: string }[];
  readonly writers: readonly {
    readonly key: string;
    readonly name: string;
    readonly firm: string;
    readonly manner: string;
  }[];
}
