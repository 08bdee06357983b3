<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->text('code_secret')->nullable();
            $table->timestamp('code_since')->nullable();
            $table->unsignedBigInteger('code_step')->default(0);
            $table->text('code_spares')->nullable();
        });
        Schema::table('firms', static function (Blueprint $table): void {
            $table->boolean('planners_code')->default(false);
        });
    }

    public function down(): void
    {
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn([
            'code_secret', 'code_since', 'code_step', 'code_spares',
        ]));
        Schema::table('firms', static fn (Blueprint $table) => $table->dropColumn('planners_code'));
    }
};
