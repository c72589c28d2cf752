/** A project of which neither snapshots nor log can be read. */
export class ProjectDamaged extends Error {
  constructor(
    readonly projectId: string,
    readonly reason: string,
  ) {
    super(`project ${projectId} cannot be read: ${reason}`);
    this.name = "ProjectDamaged";
  }
}
