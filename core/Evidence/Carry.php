<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

/**
 * Does evidence from an earlier revision still hold for a later one (`evidence.carry`)?
 *
 * It holds when nothing that the property depends on has changed in between. A requirement that names no
 * dependency depends on everything but the cosmetic.
 */
final readonly class Carry
{
    /** @param list<string> $because the changes that stand in the way */
    private function __construct(
        public bool $carried,
        public array $because,
    ) {
    }

    /**
     * @param list<string>                            $dependsOn change classes
     * @param list<array{what: string, class: string}> $changes   between the earlier revision and this one
     */
    public static function over(array $dependsOn, array $changes): self
    {
        $because = [];
        foreach ($changes as $change) {
            if ($dependsOn === [] ? $change['class'] !== 'cosmetic' : in_array($change['class'], $dependsOn, true)) {
                $because[] = $change['what'];
            }
        }

        return new self($because === [], $because);
    }
}
