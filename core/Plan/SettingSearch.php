<?php

declare(strict_types=1);

namespace Lustrum\Core\Plan;

use Lustrum\Core\CoreException;
use Lustrum\Core\Run\SettingRule;
use Lustrum\Core\Setting\NextReason;
use Lustrum\Core\Setting\NextSetting;

/** A setting that is being found: what was tried, and what to try next. */
final readonly class SettingSearch
{
    /**
     * @param list<SettingTried>      $tried in their order
     * @param NextSetting|null $next  null where what was tried contradicts itself
     */
    private function __construct(
        public SettingRule $rule,
        public array $tried,
        public ?NextSetting $next,
    ) {
    }

    /** Where the method says from where to where it goes. */
    public static function isOpen(?SettingRule $rule): bool
    {
        return $rule?->low !== null && $rule->high !== null;
    }

    /** @param list<Made> $made in their order; what was lost, void or set aside tried none */
    public static function of(SettingRule $rule, array $made): self
    {
        $said = $tried = [];
        foreach ($made as $run) {
            if (!$run->hasPlace()) {
                continue;
            }
            $text = $run->settings[$rule->name] ?? '';
            $tried[] = $one = new SettingTried($run->run, $run->number, $text, $rule->value($text), $run->stands);
            if ($one->value !== null && $one->result !== null) {
                $said[] = [$one->value, $one->result];
            }
        }
        try {
            $next = NextSetting::of($said, $rule->low ?? 0.0, $rule->high ?? 0.0, $rule->scale, $rule->step);
        } catch (CoreException) {
            $next = null;
        }

        return new self($rule, $tried, $next);
    }

    /** Is the range used up without a good one? */
    public function isUsedUp(): bool
    {
        return $this->next?->reason === NextReason::Beyond || $this->next?->reason === NextReason::Exhausted;
    }
}
