declare namespace App {
  interface Locals {
    /** The workspace of this browser; set by the middleware on every page and API call. */
    workspaceId: string;
  }
}
