<?php

declare(strict_types=1);

namespace Lustrum\Action\Exchange;

use Lustrum\Record\Inputs;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\Unreadable;

/** A device file with each entry on a line of its own, as Lustrum writes them: read line by line, never held as a whole. */
final class DeviceLines
{
    /** Entries that may stand beside the lists, and entries of a list of named ones. */
    private const MOST_BESIDE = 100;
    private const MOST_NAMED = 20_000;

    private const ENDS = [']', '],', '}', '},'];

    /**
     * @param resource                $stream
     * @param array<array-key, mixed> $head what stands beside the lists
     * @param array<string, int>      $at   where the entries of each list begin
     */
    private function __construct(
        private $stream,
        public readonly array $head,
        private readonly array $at,
    ) {
    }

    /**
     * @param resource $stream that can be gone back in
     *
     * @return self|null null where the file is laid out in another way, or cut off
     *
     * @throws Invalid where something in it cannot be stored
     */
    public static function of($stream): ?self
    {
        rewind($stream);
        $head = $at = [];
        if (rtrim((string) fgets($stream)) !== '{') {
            return null;
        }
        while (($line = fgets($stream)) !== false) {
            $line = rtrim($line);
            if ($line === '}') {
                return new self($stream, $head, $at);
            }
            if (preg_match('/^"(\w+)":[\[{]$/', $line, $m) === 1) {
                $at[$m[1]] = (int) ftell($stream);
                self::skip($stream);
                continue;
            }
            if (count($head) > self::MOST_BESIDE) {
                return null;
            }
            try {
                $head += Inputs::decode('{'.rtrim($line, ',').'}');
            } catch (Unreadable) {
                return null;
            }
        }

        return null;
    }

    public function has(string $list): bool
    {
        return isset($this->at[$list]);
    }

    /**
     * @return iterable<int, mixed> entries of a list, each as it was decoded
     *
     * @throws Invalid at the entry that cannot be read
     */
    public function entries(string $list): iterable
    {
        foreach ($this->lines($list) as $i => $line) {
            try {
                yield $i => Inputs::decode($line);
            } catch (Unreadable) {
                throw Invalid::at($list.'/'.$i, 'This entry is missing or is not an object. The file may have been cut off.');
            } catch (Invalid $e) {
                throw $e->under($list.'/'.$i);
            }
        }
    }

    /**
     * @return array<array-key, mixed> what a list of named entries holds, by name
     *
     * @throws Invalid
     */
    public function named(string $list): array
    {
        $out = [];
        foreach ($this->lines($list) as $i => $line) {
            if ($i >= self::MOST_NAMED) {
                throw Invalid::at($list, sprintf('At most %d entries can be brought in at once.', self::MOST_NAMED));
            }
            $out += Inputs::decode('{'.$line.'}');
        }

        return $out;
    }

    /** @return iterable<int, string> */
    private function lines(string $list): iterable
    {
        if (!$this->has($list)) {
            return;
        }
        fseek($this->stream, $this->at[$list]);
        $i = 0;
        while (($line = fgets($this->stream)) !== false && !in_array(rtrim($line), self::ENDS, true)) {
            $entry = rtrim($line, ", \r\n");
            if ($entry !== '') {
                yield $i++ => $entry;
            }
        }
    }

    /** @param resource $stream */
    private static function skip($stream): void
    {
        while (($line = fgets($stream)) !== false && !in_array(rtrim($line), self::ENDS, true)) {
        }
    }
}
