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
     * @param list<string>                                                $dependsOn change classes, and parts and parameters as
     *     'part:bracket', 'parameter:gap'
     * @param list<array{what: string, class: string, on?: list<string>}> $changes   between the earlier revision and this one; on:
     *     what each altered, in the same words
     */
    public static function over(array $dependsOn, array $changes): self
    {
        $because = [];
        foreach ($changes as $change) {
            $touched = [$change['class'], ...($change['on'] ?? [])];
            if ($dependsOn === [] ? $change['class'] !== 'cosmetic' : array_intersect($touched, $dependsOn) !== []) {
                $because[] = $change['what'];
            }
        }

        return new self($because === [], $because);
    }

    /** @param list<string> $because in the way as well, whatever the change records say */
    public function and(array $because): self
    {
        return new self($this->carried && $because === [], [...$this->because, ...$because]);
    }
}
