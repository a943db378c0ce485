<?php

declare(strict_types=1);

/*
 * Lines that decide something, each broken once: a test must fail. Run by './lustrum test mutations', in a copy.
 *
 * Each: file, what stands there, what is put there, and which tests are asked.
 */
return [
    // What is shown, and what is not.
    ['core/Evidence/AssessShare.php', '$n < FurtherRuns::FEW => State::Thin,', '$n < 0 => State::Thin,', 'Core'],
    ['core/Evidence/AssessShare.php', '$lower >= $wanted => State::Shown,', '$lower > -1 => State::Shown,', 'Core'],
    ['core/Evidence/AssessMean.php', '$s->n < FurtherRuns::FEW => State::Thin,', '$s->n < 0 => State::Thin,', 'Core'],
    ['core/Evidence/AssessMean.php', '$r->direction->met($bound, $r->limit) => State::Shown,', '$r->direction->met($s->mean, $r->limit) => State::Shown,', 'Core'],
    ['core/Evidence/AssessShare.php', '$x->kind !== ResultKind::Lost', 'true', 'Core'],
    ['core/Evidence/Carry.php', "\$change['class'] !== 'cosmetic'", 'false', 'Core'],
    ['core/Judging/Evidence.php', '$to = $found === [] ? $present : $older;', '$to = $present;', 'RuleTest|FreezeTest|JudgementTest'],
    [
        'core/Judging/Evidence.php', '$stale = $differs !== [] || ($carry !== null && !$carry->carried);', '$stale = false;',
        'FreezeTest|JudgementTest|ExchangeTest',
    ],
    ['core/Judging/Evidence.php', 'if ($run->lost()) {', 'if (false) {', 'RuleTest|JudgementTest|ExchangeTest|LoopTest'],
    ['core/Judging/Bunch.php', 'if ($reading->kind === ResultKind::Equal) {', 'if (true) {', 'RuleTest|SeenTest'],
    [
        'core/Judging/Bunch.php', 'if ($run->lost() || !$run->says()) {', 'if ($run->lost()) {',
        'RuleTest|SeenTest',
    ],
    ['core/Judging/Bunch.php', 'if ($reading->kind === ResultKind::AtLeast) {', 'if (true) {', 'RuleTest|SeenTest'],
    ['core/Judging/Answers.php', '$held = $run->says() ? $run->heldIn($this->metric) : null;', '$held = $run->heldIn($this->metric);', 'Core|SeverityTest'],
    ['core/Judging/Circumstances.php', 'if ($this->runs === 0 || $order < $this->first) {', 'if (true) {', 'SeenTest'],
    ['core/Judging/Sightings.php', 'if (isset($known[$r->metric])) {', 'if (false) {', 'SeenTest'],
    ['core/Judging/Baseline.php', '$depends[$metric] ?? []) === []) {', '[\'none\']) === [] || true) {', 'RuleTest'],
    ['src/Action/Build/Correcting.php', "[\$was, \$fact['name']], true)", "[\$fact['name']], true)", 'CorrectTest'],
    // Comparisons and what became of a change.
    [
        'core/Judging/CompareBuilds.php', '$wanted->rule->direction->sign() > 0) ?', '$wanted->rule->direction->sign() < 0) ?',
        'JudgementTest|ExchangeTest|LoopTest',
    ],
    [
        'core/Judging/CompareOutcomes.php', "\$c->verdict === Verdict::Higher => 'more',", "\$points->estimate > 0 => 'more',",
        'JudgementTest|ExchangeTest|RuleTest',
    ],
    [
        'core/Judging/AlikeShares.php', '$this->heldHere === $this->triedHere && $this->heldThere === $this->triedThere',
        '$this->heldHere === $this->triedHere', 'JudgementTest|ExchangeTest|RuleTest',
    ],
    [
        'core/Judging/ChangesSeen.php', 'ExpectedAs::Less ? -1 : 1, $c)', 'ExpectedAs::Less ? 1 : -1, $c)', 'RuleTest',
    ],
    [
        'core/Judging/ChangesSeen.php', 'if ($n === 0 || $before === 0) {', 'if ($n === 0 && $before === 0) {',
        'JudgementTest|ExchangeTest|LoopTest|RuleTest',
    ],
    ['core/Change/JudgeChange.php', '$far < $half && $near > -$half =>', '$near <= 0 =>', 'Core'],
    [
        'core/Change/JudgeChange.php', "match (true) {\n            \$far < 0 => ChangeVerdict::Worse,",
        "match (true) {\n            \$near < 0 => ChangeVerdict::Worse,", 'Core',
    ],
    ['core/Change/JudgeChange.php', '$near >= $half && $far >= $size', '$far >= $size', 'Core'],
    ['core/Alike/CompareProportionsWithin.php', 'if ($p >= 1 - $confidence) {', 'if (false) {', 'Core'],
    ['core/Alike/Bounds.php', 'return $isOpen ? WithinVerdict::Indistinct : $verdict;', 'return $verdict;', 'AlikeTest'],
    ['core/Alike/SideFit.php', '$left += $sample->squares();', '', 'AlikeTest'],
    ['core/Alike/AlikeRuns.php', '$some->article === null ? $values :', 'true ? $values :', 'AlikeTest'],
    ['core/Judging/Bunch.php', '$both->step = max($this->step, $other->step);', '', 'SeenTest'],
    ['core/Judging/Bunch.php', 'array_push($both->values, ...$other->values);', '', 'SeenTest'],
    ['core/Failure/Closing.php', '} elseif ($run->severity < $needs) {', '} elseif (false) {', 'ClosingTest'],
    ['core/Failure/Closing.php', 'if (!$run->carriesFix || ', 'if (', 'ClosingTest'],
    // What closes a failure, and which runs are alike.
    ['core/Judging/ClosingWalk.php', 'if ($hardness === Hardness::AtLeast) {', 'if (true) {', 'Core'],
    ['core/Judging/ClosingWalk.php', '$event->held ? $this->held($event) : $this->cameBack($event);', '$this->held($event);', 'Core'],
    [
        'core/Judging/Failures.php', '$return->order >= $failure->order && $id !== $failure->id', '$id !== $failure->id', 'Core',
    ],
    ['core/Judging/Failures.php', 'if ($failure->aside !== \'\') {', 'if (false) {', 'RuleTest|ExchangeTest|JudgementTest|FindTest'],
    ['core/Judging/Pairing.php', '$one->alike->isKnown() ? $one->alike->cell :', 'true ? $one->alike->cell :', 'Core'],
    ['core/Judging/Pairing.php', "if (array_filter(\$common, static fn (string \$level): bool => \$level !== '') === []) {", 'if (true) {', 'Core'],
    ['core/Judging/AlikeShares.php', '$c->triedA),', '$c->triedA + 1),', 'Core|ExchangeTest'],
    ['core/Judging/SidesWithin.php', "if (\$side !== '' && \$one->alike->isKnown()) {", 'if (true) {', 'Core'],
    ['core/Judging/SidesWithin.php', '$found = $bounds > 0', '$found = false', 'Core'],
    ['core/Wording/ComparisonWords.php', 'if ($life->ended < self::EVENTS) {', 'if (false) {', 'ExchangeTest'],
    ['src/Facts/RunFacts.php', 'ResultKind::tryFrom($bound) ??', 'null ??', 'SaidTest'],
    ['src/Domain/Trial/Trial.php', '$changed > $this->signedAt()', 'false', 'LoopTest'],
    ['src/Action/Read/ReadingCheck.php', '(int) Row::number($row[1]) >= $least', 'true', 'SaidTest'],
    [
        'core/Judging/Forecasts.php', 'count($chosen) > $device->changesLimit', 'count($chosen) >= $device->changesLimit',
        'RuleTest|LoopTest|JudgementTest|ExchangeTest',
    ],
    ['core/Judging/Forecasts.php', '[true, true] => Meets::Would,', '[true, false] => Meets::Would,', 'RuleTest|LoopTest|ExchangeTest'],
    // What may be started, typed, decided.
    [
        'src/Domain/Trial/Trial.php', 'if ($next !== null) {', 'if (false) {',
        'RecordTest|LoopTest|BadInputTest|RuleTest',
    ],
    [
        'src/Domain/Trial/Trial.php', "if (trim(\$safety->abort) === '' && \$this->override === null) {", 'if (false) {',
        'RecordTest|LoopTest|BadInputTest|RuleTest',
    ],
    ['src/Action/Read/ReadingCheck.php', 'if ($questions !== []) {', 'if (false) {', 'RecordTest|LoopTest|BadInputTest|JudgementTest'],
    ['src/Action/Decide/Deciding.php', 'if ($undecided !== []) {', 'if (false) {', 'RecordTest|LoopTest|JudgementTest|RuleTest'],
    [
        'src/Domain/Decision/Candidate.php', "if (\$input->choice !== Choice::Open && trim(\$input->reason) === '') {", 'if (false) {',
        'RecordTest|LoopTest|BadInputTest|RuleTest',
    ],
    [
        'src/Domain/Trial/Run.php', 'if ($this->outcome !== null && $this->outcome !== $input->outcome) {', 'if (false) {',
        'RecordTest|LoopTest|RuleTest',
    ],
    // Who gets in, and how far.
    ['src/Account/WorkspaceVoter.php', '$role === Role::Lead || $role === Role::Member,', '$role !== null,', 'AccessTest'],
    ['src/Account/WorkspaceVoter.php', 'Access::Lead => $role === Role::Lead,', 'Access::Lead => $role !== null,', 'AccessTest'],
    ['src/Account/WorkspaceVoter.php', 'Access::Read => $role !== null,', 'Access::Read => true,', 'AccessTest'],
    ['src/Record/Records.php', 'if ($record === null || !$this->mayRead($record->workspace())) {', 'if ($record === null) {', 'AccessTest'],
    [
        'src/Record/Records.php', "        if (!\$this->mayWrite(\$workspace)) {\n            throw",
        "        if (false) {\n            throw", 'AccessTest',
    ],
    [
        'src/Record/RecordWriter.php', "if ((get_object_vars(\$input)['version'] ?? null) !== \$known->version()) {", 'if (false) {',
        'RecordTest',
    ],
    ['src/Record/RecordWriter.php', 'if ($known->bears($fingerprint)) {', 'if (false) {', 'RecordTest|BadInputTest'],
    [
        'src/Record/RecordWriter.php', 'if (!$other->belongsTo()->equals($record->belongsTo())) {', 'if (false) {',
        'BadInputTest|RecordTest|StrangerTest',
    ],
    ['src/Action/People/Members.php', 'if (!is_numeric($leads) || (int) $leads < 2) {', 'if (false) {', 'AccountTest'],
    [
        'src/Http/Account/SessionGuard.php', '$place === null || $place->user() !== $token->getUser() || $place->isOver($now)',
        '$place === null', 'PlaceTest|AccountTest',
    ],
    [
        'src/Http/Account/AccountController.php', 'if ($place === null || $place->user() !== $this->me()) {', 'if ($place === null) {',
        'PlaceTest',
    ],
    [
        'src/Http/RequestGuard.php',
        "if (!\$this->tokens->isTokenValid(new CsrfToken(self::TOKEN, (string) \$request->headers->get('X-Csrf-Token', '')))) {",
        'if (false) {', 'AccountTest|StrangerTest|BadInputTest',
    ],
    // What is kept of what was worked out.
    ['src/Facts/Summaries.php', 'WHERE d.counter = ?', 'WHERE d.counter >= 0 OR d.counter = ?', 'SummaryTest'],
    ['src/Facts/Dropped.php', '$this->onlyRuns = $this->onlyReadings = false;', '', 'SummaryTest'],
    ['src/Facts/Dropped.php', 'KeptRuns::stretch($trial, $number) => true', '', 'SummaryTest'],
    ['src/Facts/Invalidation.php', 'Failure::class => [self::FAILURES,', 'Failure::class => [self::NOTHING,', 'SummaryTest'],
    ['src/Facts/KeptRuns.php', 'return self::inOrder($runs);', 'return array_reverse(self::inOrder($runs));', 'SummaryTest'],
    ['src/Facts/Summaries.php', 'hash_equals($this->seal($content), Row::text($row[\'seal\']))', 'true', 'SummaryTest'],
    [
        'src/Facts/Invalidation.php', 'Reading::class => [self::BUILD, self::JUDGED],', 'Reading::class => [self::NOTHING, self::JUDGED],',
        'SummaryTest',
    ],
    // What comes in with a file, and what a field takes.
    ['src/Action/Exchange/DeviceFile.php', 'if (isset($this->ids[$id])) {', 'if (false) {', 'DeviceFileTest'],
    ['src/Record/Shapes.php', 'if (!$optional) {', 'if (false) {', 'ShapeTest'],
    ['src/Record/Shapes.php', 'TypeIdentifier::STRING => is_string($value),', 'TypeIdentifier::STRING => is_scalar($value),', 'ShapeTest'],
    [
        'src/Domain/Decision/Candidate.php',
        "    {\n        if (\$this->decision !== null) {\n            throw Settled::candidate();\n        }\n        parent",
        "    {\n        parent", 'DecideTest',
    ],
    ['src/Domain/Device/Requirement.php', 'if ($units !== []) {', 'if (false) {', 'BriefTest'],
    ['src/Domain/Trial/Run.php', 'if (isset($seen[$one->name])) {', 'if (false) {', 'RunTest'],
    ['src/Shared/Page.php', "preg_match('/^[0-9a-f-]{36}$/', \$id) !== 1", 'false', 'PageTest'],
    ['src/Facts/Pages.php', 'WHERE (at, id) < (', 'WHERE (at, id) <= (', 'PageTest'],
    ['core/Plan/Plan.php', 'Order::Blocks ? $shuffle->of($settings) : $settings', 'Order::Blocks ? $settings : $settings', 'PlanTest'],
    // Who looks again pays for it; nothing lies beyond what there can be.
    ['core/Judging/Look.php', '$open !== [],', 'false,', 'Core'],
    ['core/Judging/Terms.php', 'return !$this->look->isSoFar && !$this->isComputed;', 'return true;', 'Core'],
    ['core/Judging/Terms.php', 'return Looks::confidence($this->confidence, $this->look->looks);', 'return $this->confidence;', 'Core'],
    ['core/Judging/ByCell.php', '$rule->kind === Kind::Check ? $found', 'false ? $found', 'Core'],
    ['core/Judging/Figure.php', '$end === null ? null : $natural->clip($end)', '$end', 'Core'],
    ['core/Judging/CompareBuilds.php', '$terms->tells() || $verdict === WithinVerdict::Single ? $verdict', 'true ? $verdict', 'Core'],
    ['core/Judging/CompareOutcomes.php', '!$terms->tells() => \'indistinct\',', '', 'Core'],
    ['core/Judging/SidesFound.php', '$terms->tells() ? count(', 'true ? count(', 'Core'],
    ['src/Facts/Opened.php', 'if (Row::whole($row[\'looks\']) > 1) {', 'if (false) {', 'OpenedTest'],
    // What varies together, what never met, and what stands beside a verdict.
    ['core/Judging/Confounded.php', 'count(array_unique($single)) < count($sides)', 'false', 'Core'],
    ['core/Judging/Chained.php', '$turned = $pair->a === self::HERE ? -1.0 : 1.0;', '$turned = 1.0;', 'Core'],
    ['core/Judging/ChangesSeen.php', '...$this->bearing($unexplained, $effect),', '', 'Core'],
    ['core/Judging/Fixes.php', '$this->against($made ?? $build)', 'null', 'Core'],
    ['core/Judging/ModeSeen.php', 'JudgeChange::towards(-1, $difference)', 'JudgeChange::towards(1, $difference)', 'Core'],
    ['core/Judging/DrawnIn.php', '$kept * ($own - $means->mean)', '($own - $means->mean)', 'Core'],
    ['core/Judging/DrawnIn.php', '$bunch->moved($drawn - $mean)', '$bunch', 'StateTest'],
    ['core/Judging/FirstStage.php', '>= self::FEWEST', '>= 1', 'LookTest'],
    ['core/Judging/FirstStage.php', '$ended >= $first &&', 'true &&', 'LookTest'],
    ['core/Judging/OutsideBound.php', '!in_array($failure->key(), $use->without, true)', 'false', 'OutsideTest'],
    ['core/Failure/Exposure.php', '$this->amount / -log(1 - $confidence)', '$this->amount', 'OutsideTest'],
    ['core/Judging/Answers.php', "'onlyJust' => \$known['onlyJust'] + \$group['onlyJust'],", '', 'SeenTest'],
    ['core/Said/Line.php', 'count($parts) === 1 ? [$parts[0]->asResult()] : $parts', '$parts', 'LineTest'],
    ['core/Said/Line.php', 'if (preg_match(self::NEGATED, $text) === 1) {', 'if (false) {', 'LineTest'],
    ['core/Said/Wish.php', 'count($fitting) === 1 && $isVerb', 'count($fitting) === 1', 'WishTest'],
    ['core/Said/ChangeLine.php', 'self::last($value)', '$value', 'ChangeLineTest'],
    ['core/Wording/Numbers.php', '$isClear && (float) $text === 0.0', 'false', 'MessagesTest'],
    ['src/Action/Run/TakingUp.php', 'if ($channels !== [] || $factors !== []) {', 'if (true) {', 'StartTest'],
    ['src/Action/Run/TryingSomething.php', '$known->workspace()->id()->equals($workspace->id())', 'true', 'StartTest'],
    ['core/Judging/TrialResults.php', '$run->says() && (', '(', 'Core'],
    // What stands around requirements and behind a build.
    ['core/Belief/Belief.php', 'in_array(Weight::Against, $findings, true) => self::Overturned,', '', 'UsesTest'],
    ['core/Judging/UseVerdict.php', 'static fn (Cell $c): bool => $c->wanted->must)', 'static fn (Cell $c): bool => true)', 'UsesTest'],
    ['core/Judging/UseVerdict.php', '$unanswered !== [] => UseFit::DoesNot,', '', 'UsesTest'],
    ['core/Judging/UseVerdict.php', '$musts !== [] && $shown === count($musts) => UseFit::Fits,', '$musts !== [] => UseFit::Fits,', 'UsesTest'],
    ['core/Judging/Proposal.php', '$effect->goesUp() === ($wanted->rule->direction === Direction::AtLeast)', '$effect->goesUp() !== null', 'UsesTest'],
    ['core/Judging/StepTried.php', 'array_unique([...$line, ...$others])', 'array_unique([...$others, ...$line])', 'UsesTest'],
    ['src/Facts/BriefFacts.php', "AND r.outcome IN ('held', 'failed')", 'AND r.outcome IS NOT NULL', 'AroundTest'],
    ['src/Sheet/Brief/Beliefs.php', '$stands($f->failure, $failures)', 'true', 'AroundTest'],
    ['core/Judging/Evidence.php', '$isMissing && $a->state === State::Shown', 'false', 'FamilyTest'],
    ['core/Judging/Evidence.php', '$isSaid ? $build->worstArm : self::worst($wanted, $members)', 'self::worst($wanted, $members)', 'FamilyTest'],
    ['core/Judging/Evidence.php', '($by->worst->estimate ?? 0.0) * $wanted->rule->direction->sign(),', '0.0,', 'FamilyTest'],
    ['core/Judging/Differences.php', '!$p->follows', 'true', 'WorkshopTest'],
    ['core/Run/Followed.php', '$isCounted ? 0.0 : $parameter->u', '$parameter->u', 'FollowedTest'],
    ['core/Run/Followed.php', 'mb_strlen($b->name) <=> mb_strlen($a->name)', 'mb_strlen($a->name) <=> mb_strlen($b->name)', 'FollowedTest'],
    ['core/Pasted/PartsTable.php', "if (\$name === '') {", 'if (false) {', 'PastedTest'],
    ['core/Pasted/PartsTable.php', '$comma > $point ?', 'true ?', 'PastedTest'],
    ['src/Domain/Revision/Part.php', 'if ($id === $ours) {', 'if (false) {', 'WorkshopTest'],
    ['src/Domain/Revision/Making.php', '$minutes > self::MOST_MINUTES ? null', 'false ? null', 'WorkshopTest'],
    ['src/Domain/Device/Requirement.php', '|| !$this->isMetBy($of);', ';', 'WorkshopTest'],
    ['src/Facts/Summaries.php', 'UNION SELECT p.belongs_to FROM carrier c', 'UNION SELECT p.belongs_to FROM carrier c JOIN device nowhere ON false', 'WorkshopTest'],
    ['core/Judging/BuildFile.php', 'if ($before->sha256 === $this->sha256) {', 'if (true) {', 'WorkshopTest'],
    ['src/Facts/DeviceFacts.php', "AND standing = 'stays' GROUP BY 1", 'GROUP BY 1', 'WorkshopTest'],
    ['src/Storage/Documents.php', '(!$isSource && preg_match(self::SCRIPTS, $type) === 1)', 'false', 'WorkshopTest'],
    // Footings.
    ['core/Footing/FootingCheck.php', '$models($x) === $models($y) ? Footing::Tilted', 'true ? Footing::Tilted', 'Core'],
    ['core/Footing/FootingCheck.php', '$v === round($v, $decimals) ?', 'true ?', 'Core'],
    ['core/Run/AsSet.php', 'abs($off) <= 0.5 + 1e-9 ? 0.0 : round($off)', '$off', 'Core'],
    // Readings that nobody can use yet, and changes that become a build.
    ['src/Facts/RunFacts.php', ' AND NOT g.undecided)', ')', 'SaidTest'],
    ['src/Action/Build/Gathering.php', '!$d->isAmong($r->configuration()->deviants)) === [],', 'false) === [],', 'GatherTest'],
    ['src/Action/Build/Gathering.php', '$known->belongsTo()->equals($article->belongsTo())', 'true', 'GatherTest'],
    // Files.
    ['src/Storage/Pictures.php', 'max($header[0], $header[1]) > self::MOST_SIDE ||', 'false &&', 'BadInputTest'],
    ['src/Http/Files/FileAnswer.php', 'return $from <= $to && $from < $size ?', 'return true ?', 'FileTest'],
    ['src/Storage/FileKind.php', 'return $this === self::Sound || $this === self::Clip;', 'return false;', 'FileTest'],
];
