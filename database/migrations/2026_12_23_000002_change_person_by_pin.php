<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', static fn (Blueprint $table) => $table->string('pin')->nullable());
        Schema::table('devices', static fn (Blueprint $table) => $table->string('browser', 16)->nullable());
        Schema::create('pin_browsers', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('browser', 16)->index();
            $table->unsignedSmallInteger('tries')->default(0);
            $table->timestamp('since')->index();
            $table->unique(['user_id', 'browser']);
        });
    }

    public function down(): void
    {
        Schema::drop('pin_browsers');
        Schema::table('devices', static fn (Blueprint $table) => $table->dropColumn('browser'));
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn('pin'));
    }
};
