<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Change\ChangeClass;

/** One way in which the build that a run was made with differs from the build as it is written down now. */
final readonly class Difference
{
    /**
     * @param 'parameter'|'part'|'material'|'firmware'|'own' $kind own: a part that one article has otherwise
     * @param string                                   $was  as the run was made; empty: it was not there
     * @param string                                   $is   as it is now; empty: it is gone
     */
    public function __construct(
        public string $kind,
        public string $name,
        public string $was,
        public string $is,
    ) {
    }

    /** As requirements and changes call it: 'parameter:gap', 'part:bracket', 'firmware'. */
    public function name(): string
    {
        return match ($this->kind) {
            'firmware' => 'firmware',
            'parameter' => 'parameter:'.$this->name,
            default => 'part:'.$this->name,
        };
    }

    /**
     * Does it touch what depends on these classes?
     *
     * A difference that no change record explains touches everything, but a material alone and a firmware touch only
     * what depends on their own class.
     *
     * @param list<string> $dependsOn change classes; empty: everything but the cosmetic
     */
    public function touches(array $dependsOn): bool
    {
        $class = match ($this->kind) {
            'material' => ChangeClass::Material,
            'firmware' => ChangeClass::Firmware,
            default => null,
        };

        return $class === null || $dependsOn === [] || in_array($class->value, $dependsOn, true);
    }
}
