<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A file is taken in by pieces, between which others write: each version says which file brought it, and each line
 * whether it is in.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('changes', static function (Blueprint $table): void {
            $table->unsignedBigInteger('import_id')->nullable()->index();
        });
        Schema::table('import_rows', static function (Blueprint $table): void {
            $table->boolean('kept')->default(false);
        });
        foreach (DB::table('imports')->whereNotNull('first_change')->get() as $import) {
            DB::table('changes')->whereBetween('id', [$import->first_change, $import->last_change])
                ->update(['import_id' => $import->id]);
            if ($import->status === 'done') {
                DB::table('import_rows')->where('import_id', $import->id)->whereIn('does', ['new', 'changed'])
                    ->update(['kept' => true]);
            }
        }
        Schema::table('imports', static function (Blueprint $table): void {
            $table->dropColumn(['first_change', 'last_change']);
        });
    }

    public function down(): void
    {
        Schema::table('imports', static function (Blueprint $table): void {
            $table->unsignedBigInteger('first_change')->nullable();
            $table->unsignedBigInteger('last_change')->nullable();
        });
        foreach (DB::table('imports')->pluck('id') as $import) {
            $its = DB::table('changes')->where('import_id', $import);
            DB::table('imports')->where('id', $import)
                ->update(['first_change' => $its->min('id'), 'last_change' => $its->max('id')]);
        }
        Schema::table('import_rows', static fn (Blueprint $table) => $table->dropColumn('kept'));
        Schema::table('changes', static function (Blueprint $table): void {
            $table->dropIndex(['import_id']);
            $table->dropColumn('import_id');
        });
    }
};
