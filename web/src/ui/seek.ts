/** Goes to a moment of what is played. */
export function seek(player: HTMLMediaElement | null, at: number): void {
  if (player !== null) player.currentTime = at;
}
