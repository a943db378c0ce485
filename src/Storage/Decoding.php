<?php

declare(strict_types=1);

namespace Lustrum\Storage;

use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * At most two files are unpacked at once on one machine: a picture of 50 megapixels takes 200 MB meanwhile. The places
 * are locks on files, which the system gives back by itself when whoever held one is gone.
 */
final readonly class Decoding
{
    private const PLACES = 2;
    private const LOOK_EVERY_MICROSECONDS = 200_000;

    public function __construct(
        #[Autowire('%lustrum.files%')]
        private string $folder,
    ) {
    }

    /**
     * @template T
     *
     * @param callable(): T $work
     *
     * @return T|null null where both places are taken
     */
    public function now(callable $work): mixed
    {
        for ($i = 1; $i <= self::PLACES; ++$i) {
            $place = fopen(sprintf('%s/lustrum-decoding-%s-%d', sys_get_temp_dir(), hash('xxh32', $this->folder), $i), 'c');
            if ($place === false || !flock($place, \LOCK_EX | \LOCK_NB)) {
                continue;
            }
            try {
                return $work();
            } finally {
                fclose($place);
            }
        }

        return null;
    }

    /**
     * @template T
     *
     * @param callable(): T $work that gives something
     *
     * @return T
     */
    public function inTurn(callable $work): mixed
    {
        while (true) {
            $done = $this->now($work);
            if ($done !== null) {
                return $done;
            }
            usleep(self::LOOK_EVERY_MICROSECONDS);
        }
    }
}
