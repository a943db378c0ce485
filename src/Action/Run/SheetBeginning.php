<?php

declare(strict_types=1);

namespace Lustrum\Action\Run;

use Lustrum\Account\CurrentPlace;
use Lustrum\Account\CurrentUser;
use Lustrum\Domain\Trial\Panel;
use Lustrum\Domain\Trial\PanelSheet;
use Lustrum\Domain\Trial\PanelSheetInput;
use Lustrum\Record\Beginning;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Refusal\NotAllowed;
use Symfony\Component\Uid\Uuid;

/** What a rater says begins: on a device that was handed over it is blind; at a member's own session it is not, and says so. */
final readonly class SheetBeginning implements Beginning
{
    public function __construct(
        private Records $records,
        private CurrentUser $user,
        private CurrentPlace $here,
    ) {
    }

    public static function of(): string
    {
        return PanelSheet::class;
    }

    /** @throws NotAllowed */
    public function begin(Uuid $id, RecordInput $input): Record
    {
        assert($input instanceof PanelSheetInput);
        $sheet = PanelSheet::start($id, $input, $this->records);
        $panel = $sheet->panel();
        if ($panel->isUnblinded() || $this->isInARatersHand($panel)) {
            return $sheet;
        }
        if ($panel->isServer($this->user->user())) {
            throw NotAllowed::toRate('You serve this panel and know which article comes next. Hand the device over to a rater.');
        }
        if ($panel->isOpenTo($this->user->user())) {
            throw NotAllowed::toRate('You opened this panel and know which code is which. Hand the device over to a rater.');
        }
        $sheet->wasNotBlind();

        return $sheet;
    }

    private function isInARatersHand(Panel $panel): bool
    {
        return $this->here->place()?->handedOverFor()?->equals($panel->id()) === true;
    }
}
