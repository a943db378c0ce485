<?php

declare(strict_types=1);

namespace Lustrum\Action\Work;

use Lustrum\Action\Method\MethodRow;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Wording\WorkingWords;
use Lustrum\Core\Working\Forecast;
use Lustrum\Domain\Decision\Candidate;
use Lustrum\Domain\Decision\CandidateInput;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Method\MethodInput;
use Lustrum\Domain\Revision\Parameter;
use Lustrum\Domain\Revision\ParameterInput;
use Lustrum\Domain\Working\HandOverInput;
use Lustrum\Domain\Working\KeptAnswer;
use Lustrum\Domain\Working\KeptWorking;
use Lustrum\Record\Inputs;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\Written;
use Lustrum\Shared\Refusal\Invalid;

/** Puts the answer of a sum where it is used: a parameter, what a candidate is expected to do, a quantity of a fixture. */
final readonly class HandingOver
{
    /** What the view of a candidate says beside what a form sends. */
    private const BESIDE = ['id', 'costText', 'hoursText', 'expected', 'decision', 'by'];

    public function __construct(
        private Records $records,
        private RecordWriter $writer,
        private Inputs $inputs,
    ) {
    }

    /** @throws Invalid */
    public function give(KeptWorking $working, HandOverInput $input): Written
    {
        $answer = $working->kept() ?? throw Invalid::at('name', 'There is no answer to hand over.');

        return match (true) {
            $input->parameter !== null => $this->parameter($this->own(Parameter::class, $input->parameter, 'parameter', $working), $answer),
            $input->candidate !== null => $this->candidate(
                $this->own(Candidate::class, $input->candidate, 'candidate', $working), $answer, $input->name,
            ),
            $input->method !== null => $this->constant(
                $this->own(Method::class, $input->method, 'method', $working), $answer, $input->name,
            ),
            default => throw Invalid::at('name', 'Where is it put?'),
        };
    }

    private function parameter(Parameter $parameter, KeptAnswer $answer): Written
    {
        $view = $parameter->view();
        if ($view->formula !== '') {
            throw Invalid::at('parameter', 'This one is worked out from others of the build.');
        }
        if ($view->words === '' && !Units::fit($view->measure->unit === '' ? '1' : $view->measure->unit, $answer->unit)) {
            throw Invalid::at('parameter', sprintf('%s is in %s: %s does not fit.', $view->name, $view->measure->unit, $answer->unit));
        }

        return $this->writer->put(Parameter::class, $parameter->id(), new ParameterInput(
            $view->revision, $view->name, WorkingWords::value($answer->value, $answer->u, $answer->unit), '', $view->reliedOn,
            $view->checkedBy,
            version: $view->version,
        ));
    }

    private function candidate(Candidate $candidate, KeptAnswer $answer, string $metric): Written
    {
        if (trim($metric) === '') {
            throw Invalid::at('name', 'Which metric is expected to come to that?');
        }
        $half = Forecast::half($answer->u);
        $row = array_diff_key(
            Row::json(json_encode($candidate->view(), \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION)), array_flip(self::BESIDE),
        );
        $others = array_values(array_filter(
            Row::rows($row['effects'] ?? []),
            static fn (array $e): bool => mb_strtolower(Row::text($e['metric'] ?? '')) !== mb_strtolower(trim($metric)),
        ));
        $row['effects'] = [...$others, [
            'metric' => trim($metric), 'unit' => $answer->unit, 'low' => $answer->value - $half, 'likely' => $answer->value,
            'high' => $answer->value + $half, 'mode' => 'value',
        ]];

        return $this->put(Candidate::class, $candidate, CandidateInput::class, $row);
    }

    private function constant(Method $method, KeptAnswer $answer, string $key): Written
    {
        $row = MethodRow::of($method, ['id', 'edition']);
        $isThere = false;
        $row['constants'] = array_map(static function (array $one) use ($key, $answer, &$isThere): array {
            if (Row::text($one['key'] ?? '') !== $key) {
                return $one;
            }
            $isThere = true;

            return ['value' => $answer->value, 'unit' => $answer->unit, 'u' => $answer->u] + $one;
        }, Row::rows($row['constants'] ?? []));
        if (!$isThere) {
            throw Invalid::at('name', 'The fixture of this method has no such quantity.');
        }

        return $this->put(Method::class, $method, MethodInput::class, $row);
    }

    /**
     * @template T of Record
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    private function own(string $class, string $id, string $path, KeptWorking $working): Record
    {
        $record = $this->records->named($class, $id, $path);

        return $record->belongsTo()->equals($working->belongsTo()) ? $record : throw Invalid::at($path, 'That belongs to another device.');
    }

    /**
     * @param class-string<Record<covariant RecordInput>> $class
     * @param Record<covariant RecordInput>               $record
     * @param class-string<RecordInput>                   $input
     * @param array<string, mixed>                        $row
     */
    private function put(string $class, Record $record, string $input, array $row): Written
    {
        return $this->writer->put($class, $record->id(), $this->inputs->read($input, $row));
    }
}
