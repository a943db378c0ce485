<?php

declare(strict_types=1);

namespace Lustrum\Core\Footing;

/** Why two contexts do not stand on the same footing; the words to it stand in the catalogue, under its value. */
enum Reason: string
{
    case Method = 'method';
    case MethodVersion = 'methodVersion';
    case InstrumentUnit = 'instrumentUnit';
    case Instrument = 'instrument';
    case Change = 'change';
    case Level = 'level';
    case LevelUnknown = 'levelUnknown';
    case LevelHalfKnown = 'levelHalfKnown';
    case Lot = 'lot';
    case LotUnknown = 'lotUnknown';
    case Rig = 'rig';
    case Operator = 'operator';
    case Firmware = 'firmware';
    case OneArticle = 'oneArticle';
    case NoCommonBlock = 'noCommonBlock';
    case Choice = 'choice';
    case UsedArticle = 'usedArticle';
    case State = 'state';
    case Deviates = 'deviates';
    case OffMethod = 'offMethod';
    case OtherArticle = 'otherArticle';
    case Blocks = 'blocks';
    case SingleRun = 'singleRun';
    case StoppedEarly = 'stoppedEarly';

    /** Does it speak of what is tried, and of nothing that is found on a run? */
    public function isOfWhatItIs(): bool
    {
        return in_array($this, [self::Lot, self::LotUnknown, self::Firmware, self::State, self::Rig], true);
    }

    /** Does it speak of how the runs were made, rather than of how many there are or when? */
    public function isOfTheSetUp(): bool
    {
        return !in_array($this, [self::Blocks, self::SingleRun, self::StoppedEarly], true);
    }
}
