<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

use Lustrum\Core\CoreException;
use Lustrum\Core\Run\Amount;
use Lustrum\Core\Wording\CheckWords;
use Lustrum\Sheet\Methods\Rehearsed;

/** A use of which the trials on a build carry a part: what is shown on it is shown of that part. */
final readonly class RehearsedUse
{
    /**
     * @param string          $use      identifier
     * @param string          $sentence what is carried at the most
     * @param list<Rehearsed> $methods  what each of them carries
     */
    private function __construct(
        public string $use,
        public string $sentence,
        public array $methods,
    ) {
    }

    /**
     * @param list<array{id: string, name: string, use: string, loads: list<Amount>, carries: list<Amount>}> $methods with which the build was tried
     *
     * @return list<self> without uses that one of them carries whole
     */
    public static function all(array $methods, string $letter): array
    {
        $worked = $rows = $out = [];
        foreach ($methods as $m) {
            try {
                $rehearsal = Rehearsed::worked($m['loads'], $m['carries']);
            } catch (CoreException) {
                // Said on the method's own sheet, where it can be put right.
                continue;
            }
            if ($rehearsal !== null) {
                $worked[$m['use']][] = $rehearsal;
                $rows[$m['use']][] = new Rehearsed($m['id'], $m['name'], CheckWords::rehearsal($rehearsal));
            }
        }
        foreach ($worked as $use => $some) {
            if (array_filter($some, static fn ($r): bool => $r->isFull()) === []) {
                $out[] = new self((string) $use, CheckWords::atMost($some, $letter), $rows[$use]);
            }
        }

        return $out;
    }
}
