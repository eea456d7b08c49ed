declare namespace App {
  interface Locals {
    /** The workspace of this browser, or one that holds nothing; set by the middleware on every page and API call. */
    workspaceId: string;
    /** This browser's key to it; empty where it has none. */
    token: string;
    /** Whether this browser has one. */
    hasWorkspace: boolean;
    /** The workspace of this browser, made now where it has none: for a first write. */
    ownWorkspace: () => Promise<string>;
    /** Takes this browser to another workspace. */
    setKey: (token: string | null) => void;
  }
}
