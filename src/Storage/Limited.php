<?php

declare(strict_types=1);

namespace Lustrum\Storage;

use Symfony\Component\Process\Exception\ProcessSignaledException;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/**
 * Runs a program over something that somebody sent: with so much processor time and memory and no more (prlimit of
 * util-linux), and with nothing of what this process knows in its surroundings.
 */
final readonly class Limited
{
    /** Bytes that it may write to one file: more than the largest clip that is taken. */
    private const WRITES = 300_000_000;

    /** @param int|null $seconds of processor time; null: as its line says */
    public function __construct(
        private ?int $seconds = null,
    ) {
    }

    /**
     * @param list<string> $command
     *
     * @return string what it said
     *
     * @throws LimitPassed    where it took more than is given
     * @throws DecodingFailed where it stumbled
     */
    public function run(Line $line, array $command): string
    {
        $seconds = $this->seconds ?? $line->seconds();
        $process = new Process([
            'prlimit', sprintf('--cpu=%d:%d', $seconds, $seconds + 1), '--as='.$line->bytes(), '--fsize='.self::WRITES, '--core=0', '--',
            ...$command,
        ], env: self::surroundings(), timeout: $line->patience());
        try {
            $process->run();
        } catch (ProcessTimedOutException|ProcessSignaledException) {
            throw LimitPassed::after($seconds);
        }
        if ($process->isSuccessful()) {
            return $process->getOutput();
        }
        throw new DecodingFailed(mb_substr(trim($process->getErrorOutput()), 0, 300));
    }

    /** @return array<string, string|false> false: not handed on */
    private static function surroundings(): array
    {
        $names = array_keys($_ENV + $_SERVER + getenv());

        return ['PATH' => '/usr/local/bin:/usr/bin:/bin', 'LANG' => 'C.UTF-8', 'MALLOC_ARENA_MAX' => '2']
            + array_fill_keys(array_map(strval(...), $names), false);
    }
}
